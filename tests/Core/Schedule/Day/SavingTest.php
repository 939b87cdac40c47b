<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule\Day;

use AwakeShed\Core\Schedule\Day\Saving;
use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\SharedResource;
use PHPUnit\Framework\TestCase;

/** Weeks small enough to be planned by hand. */
final class SavingTest extends TestCase
{
    /** Three hours on one lift, all wanted after one: an hour and two late. With one more lift only one is, by an hour. */
    public function testOneMoreLiftIsOne(): void
    {
        $saved = self::saved(
            [new SharedResource('lift', false, 1, Openings::always())],
            [new PlanJob('a', 60), new PlanJob('b', 60), new PlanJob('c', 60)],
            [new Operation('a1', 'a', 60, [['lift', 1]]), new Operation('b1', 'b', 60, [['lift', 1]]), new Operation('c1', 'c', 60, [['lift', 1]])],
        );

        self::assertSame(['unit', 'lift', 120], $saved[0]);
        self::assertNotContains('hour', array_column($saved, 0), 'a lift has no hours of its own');
    }

    /** Two hours of one who is there for one a day: the second ends a day late. One hour more on the first day, and nothing does. */
    public function testAnHourMoreIsOfTheFirstDay(): void
    {
        $saved = self::saved(
            [new SharedResource('wim', true, 1, Openings::of([[480, 540], [1920, 1980]]))],
            [new PlanJob('a', 600, 2), new PlanJob('b', 600)],
            [new Operation('a1', 'a', 60, [['wim', 1]]), new Operation('b1', 'b', 60, [['wim', 1]])],
        );

        self::assertContains(['hour', 'wim', 1380], $saved);
        self::assertNotContains('unit', array_column($saved, 0), 'nobody is there twice');
        // Put off, the late one is not saved by being gone.
        self::assertNotContains('drop', array_column($saved, 0));
    }

    /** Who is not there at all has no first day that could close later; one more lift is one whatever hours it has. */
    public function testWhoIsNotThereHasNoHourMore(): void
    {
        $saved = self::saved(
            [new SharedResource('wim', true, 1, Openings::of([])), new SharedResource('tamsin', true, 1, Openings::always()), new SharedResource('lift', false, 1, Openings::of([[0, 120], [600, 900]]))],
            [new PlanJob('a', 30), new PlanJob('b', 60), new PlanJob('c', 60)],
            [new Operation('a1', 'a', 20, [['wim', 1]]), new Operation('b1', 'b', 60, [['lift', 1]]), new Operation('c1', 'c', 60, [['lift', 1]])],
        );

        self::assertSame([['unit', 'lift', 60]], $saved);
    }

    /** A part that comes at noon of the second day: a day sooner, and what waits for it is over in time. Asked only of what waits. */
    public function testAPartADaySoonerIsADay(): void
    {
        $resources = [new SharedResource('tamsin', true, 1, Openings::always())];
        $jobs = [new PlanJob('a', 1500, 3, 2160), new PlanJob('b', 60)];
        $work = [new Operation('a1', 'a', 60, [['tamsin', 1]]), new Operation('b1', 'b', 60, [['tamsin', 1]])];

        self::assertSame([['part', 'a', 3 * 720]], self::saved($resources, $jobs, $work, 'a'));
        self::assertSame([], self::saved($resources, $jobs, $work));
    }

    /** A long one goes before a short one that weighs less than it must wait: what it frees is worth what the other gains. */
    public function testWhatIsPutOffSavesTheOthersAlone(): void
    {
        $saved = self::saved(
            [new SharedResource('tamsin', true, 1, Openings::always())],
            [new PlanJob('long', 100, 5), new PlanJob('short', 60)],
            [new Operation('l1', 'long', 120, [['tamsin', 1]]), new Operation('s1', 'short', 60, [['tamsin', 1]])],
        );

        // Long first: 5 × 20 and 120 of the short one. Without it the short one is in time.
        self::assertContains(['drop', 'long', 120], $saved);
    }

    /**
     * @param list<SharedResource> $resources
     * @param list<PlanJob>        $jobs
     * @param list<Operation>      $operations
     *
     * @return list<array{string, string, int}>
     */
    private static function saved(array $resources, array $jobs, array $operations, string ...$waiting): array
    {
        $plan = Planner::plan(new Problem(Objective::WeightedTardiness, 1, 50, $resources, $jobs, $operations));

        return array_map(static fn (Saving $one): array => [$one->what, $one->whose, $one->saved], Saving::of($plan, array_values($waiting)));
    }
}
