<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule;

use AwakeShed\Core\Schedule\Checker;
use AwakeShed\Core\Schedule\Day\Saving;
use AwakeShed\Core\Schedule\Mender;
use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\Placed;
use AwakeShed\Core\Schedule\Plan;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\SharedResource;
use PHPUnit\Framework\TestCase;

final class MenderTest extends TestCase
{
    public function testASlipMovesLittle(): void
    {
        $problem = Problems::week(2, 20)->with(budget: 300);
        $former = Planner::plan($problem);
        $slipped = $former->placed[30]->operation;
        $later = $problem->changed(operations: array_map(static fn (Operation $one): Operation => $one->id === $slipped->id ? self::taking($one, $one->minutes + 45) : $one, $problem->asWritten()));

        $mended = Mender::mend($later, $former);

        self::assertSame([], Checker::faults($mended));
        self::assertSame([], $mended->unplanned);
        self::assertLessThan($this->handed($former, Planner::plan($later->with(seed: 9))), $this->handed($former, $mended));
        self::assertLessThan(20, $this->handed($former, $mended));
    }

    public function testWhatIsPinnedAndUnderWayStays(): void
    {
        $problem = Problems::week(2, 8)->with(budget: 100);
        $former = Planner::plan($problem);
        $first = $former->placed[0];
        $pinned = $problem->changed(operations: array_map(static fn (Operation $one): Operation => $one->id === $first->operation->id ? self::taking($one, 200, $first->start) : $one, $problem->asWritten()));

        self::assertSame($first->start, Mender::mend($pinned, $former)->of($first->operation->id)?->start);
    }

    public function testWhatWouldSaveIsPlannedNotGuessed(): void
    {
        $problem = new Problem(
            Objective::WeightedTardiness,
            1,
            50,
            [new SharedResource('wim', true, 1, Openings::of([[0, 60], [1440, 1500]])), new SharedResource('lift', false, 1, Openings::always())],
            [new PlanJob('one', 60), new PlanJob('two', 120)],
            [new Operation('a', 'one', 60, [['wim', 1], ['lift', 1]]), new Operation('b', 'two', 60, [['wim', 1], ['lift', 1]])],
        );
        $savings = Saving::of(Planner::plan($problem), []);

        // Ready at 1500 instead of 120 without the hour: 1380 minutes; a second lift brings nothing.
        self::assertSame([['hour', 'wim', 1380, ['two']]], array_map(static fn (Saving $one): array => [$one->what, $one->whose, $one->saved, $one->kept], $savings));
    }

    private function handed(Plan $former, Plan $plan): int
    {
        $was = array_column(array_map(static fn (Placed $one): array => [$one->operation->id, $one->uses()], $former->placed), 1, 0);

        return \count(array_filter($plan->placed, static fn (Placed $one): bool => $was[$one->operation->id] !== $one->uses()));
    }

    private static function taking(Operation $one, int $minutes, ?int $pinned = null): Operation
    {
        return new Operation($one->id, $one->job, null === $one->batchKey ? $minutes : $one->minutes, $one->uses, $one->oneOf, $one->after, $one->atMostAfter, $pinned, $one->splits, $one->batchKey);
    }
}
