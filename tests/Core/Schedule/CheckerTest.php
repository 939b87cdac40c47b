<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule;

use AwakeShed\Core\Schedule\Checker;
use AwakeShed\Core\Schedule\Fault;
use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\Placed;
use AwakeShed\Core\Schedule\Plan;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\SharedResource;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A checker that finds nothing is worth nothing: each fault, made on purpose. */
final class CheckerTest extends TestCase
{
    /** @return iterable<string, array{list<array{Operation, int, int}>, list<Fault>}> operations with start and end */
    public static function plans(): iterable
    {
        $one = new Operation('one', 'j', 10, [['wim', 1]]);
        yield 'sound' => [[[$one, 5, 15]], []];
        yield 'before its release' => [[[$one, 4, 14]], [Fault::BeforeRelease]];
        yield 'too short' => [[[$one, 5, 14]], [Fault::NotItsMinutes]];
        yield 'two at once' => [[[$one, 5, 15], [new Operation('two', 'j', 10, [['wim', 1]]), 14, 24]], [Fault::OverCapacity]];
        yield 'before what it waits for' => [[[$one, 5, 15], [new Operation('two', 'j', 3, after: ['one']), 14, 17]], [Fault::BeforePredecessor]];
        yield 'waits too long' => [[[$one, 5, 15], [new Operation('two', 'j', 3, after: ['one'], atMostAfter: 2), 18, 21]], [Fault::WaitsTooLong]];
        yield 'what it waits for is not there' => [[[new Operation('two', 'j', 3, after: ['one']), 18, 21]], [Fault::PredecessorUnplanned]];
        yield 'not at its pin' => [[[new Operation('two', 'j', 3, pinned: 20), 19, 22]], [Fault::NotAtItsPin]];
        yield 'while it is closed' => [[[new Operation('two', 'j', 10, [['tamsin', 1]]), 45, 65]], [Fault::Closed]];
        yield 'broken off, as it may' => [[[new Operation('two', 'j', 10, [['tamsin', 1]], splits: true), 45, 65]], []];
        yield 'goes on too late' => [[[new Operation('two', 'j', 10, [['tamsin', 1]], splits: true), 45, 66]], [Fault::NotItsMinutes]];
        $bath = static fn (string $id, string $key): Operation => new Operation($id, 'j', 10, [['bath', 1]], batchKey: $key);
        yield 'one cycle' => [[[$bath('a', 'hot'), 5, 15], [$bath('b', 'hot'), 5, 15]], []];
        yield 'another mix' => [[[$bath('a', 'hot'), 5, 15], [$bath('b', 'cold'), 5, 15]], [Fault::OtherCycle, Fault::OtherCycle]];
        yield 'into a running bath' => [[[$bath('a', 'hot'), 5, 15], [$bath('b', 'hot'), 6, 16]], [Fault::OtherCycle, Fault::OtherCycle]];
        yield 'a full bath' => [[[$bath('a', 'hot'), 5, 15], [$bath('b', 'hot'), 5, 15], [$bath('c', 'hot'), 5, 15]], [Fault::OverCapacity, Fault::OverCapacity, Fault::OverCapacity]];
    }

    /**
     * @param list<array{Operation, int, int}> $operations
     * @param list<Fault>                      $faults
     */
    #[DataProvider('plans')]
    public function testFinds(array $operations, array $faults): void
    {
        $resources = [new SharedResource('wim', true, 1, Openings::always()), new SharedResource('tamsin', true, 1, Openings::of([[0, 50], [60, 100]])), new SharedResource('bath', false, 2, Openings::always(), 10)];
        $problem = new Problem(Objective::WeightedTardiness, 1, 0, $resources, [new PlanJob('j', release: 5)], array_column($operations, 0));

        self::assertSame($faults, array_column(Checker::faults(new Plan($problem, array_map(static fn (array $one): Placed => new Placed($one[0], $one[1], $one[2], 0), $operations), [])), 1));
    }
}
