<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule;

use AwakeShed\Core\Schedule\Builder;
use AwakeShed\Core\Schedule\Checker;
use AwakeShed\Core\Schedule\Exhaustive;
use AwakeShed\Core\Schedule\Incumbent;
use AwakeShed\Core\Schedule\Instance;
use AwakeShed\Core\Schedule\JobShop;
use AwakeShed\Core\Schedule\LowerBound;
use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\Placed;
use AwakeShed\Core\Schedule\Plan;
use AwakeShed\Core\Schedule\PlanFormat;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\SharedResource;
use AwakeShed\Core\Schedule\Steps;
use AwakeShed\Core\Schedule\WhyNot;
use PHPUnit\Framework\TestCase;

final class PlannerTest extends TestCase
{
    /** The bench shuts long before what is set at a time may wait for it: neither is planned. */
    /** Of two starts that are set against their order, the one that was said later gives way, whichever comes first. */
    public function testOfTwoStartsSetAgainstTheirOrderTheLaterSaidGivesWay(): void
    {
        $first = new Operation('first', 'j0', 10, pinned: 50);
        $second = new Operation('second', 'j0', 10, after: ['first'], pinned: 20);
        $between = new Operation('between', 'j0', 5, after: ['first']);
        $why = fn (Operation ...$operations): array => $this->why(Planner::plan(new Problem(Objective::Makespan, 1, 20, [], [new PlanJob('j0')], array_values($operations))));

        self::assertSame(WhyNot::PinConflict, $why($second, $first)['first'] ?? null);
        self::assertSame(WhyNot::PinConflict, $why($first, $second)['second'] ?? null);
        $late = new Operation('second', 'j0', 10, after: ['between'], pinned: 20);
        self::assertSame(WhyNot::PinConflict, $why($late, $between, $first)['first'] ?? null, 'through what stands between them');
    }

    /** The search that knows of nothing but turns on machines is for problems that have nothing else. */
    public function testWhatIsAJobShopAndWhatIsNot(): void
    {
        $turn = static fn (string $id, string $machine, string $after = '', ?int $atMostAfter = null, ?string $batchKey = null): Operation => new Operation($id, substr($id, 0, 2), 5, [[$machine, 1]], [], '' === $after ? [] : explode(' ', $after), $atMostAfter, batchKey: $batchKey);
        $base = ['j0.0' => $turn('j0.0', 'm0'), 'j0.1' => $turn('j0.1', 'm1', 'j0.0'), 'j1.0' => $turn('j1.0', 'm1')];
        $machines = ['m0' => new SharedResource('m0', false, 1, Openings::always()), 'm1' => new SharedResource('m1', false, 1, Openings::always())];
        $is = static fn (?Operation $turn = null, Objective $objective = Objective::Makespan, ?SharedResource $machine = null): bool => JobShop::is(new Instance(new Problem($objective, 1, 20, array_values((null === $machine ? [] : [$machine->id => $machine]) + $machines), [new PlanJob('j0'), new PlanJob('j1')], array_values((null === $turn ? [] : [$turn->id => $turn]) + $base))));

        self::assertTrue($is());
        self::assertFalse($is(objective: Objective::WeightedTardiness));
        self::assertFalse($is($turn('j0.1', 'm1', 'j0.0', 3)), 'it may not wait');
        self::assertFalse($is(new Operation('j0.1', 'j0', 5, [['m0', 1]], after: ['j0.0'], pinned: 40)), 'a start is set');
        self::assertFalse($is($turn('j1.0', 'm1', 'j0.0')), 'two come after one');
        self::assertFalse($is($turn('j1.1', 'm0', 'j1.0 j0.0')), 'one comes after two');
        self::assertFalse($is(new Operation('j1.0', 'j1', 5, [['m0', 1], ['m1', 1]])), 'two machines at once');
        self::assertFalse($is(new Operation('j1.0', 'j1', 5, [], [['m0'], ['m1']])), 'either of two machines');
        self::assertFalse($is(machine: new SharedResource('m0', false, 2, Openings::always())), 'two of a kind');
        self::assertFalse($is(machine: new SharedResource('m0', false, 1, Openings::of([[0, 90]]))), 'a machine that shuts');
        self::assertFalse($is($turn('j1.0', 'm2', batchKey: 'hot'), machine: new SharedResource('m2', false, 1, Openings::always(), 5)), 'a bath');
        self::assertFalse($is($turn('j1.0', 'm2'), machine: new SharedResource('m2', false, 1, Openings::of([]))), 'a machine that is never there');
        self::assertFalse(JobShop::is(new Instance(new Problem(Objective::Makespan, 1, 20, [new SharedResource('m0', false, 1, Openings::always())], [new PlanJob('j0')], [$turn('j0.0', 'm0')]))), 'one operation is no search');
    }

    public function testAPinFallsWithWhatItMayNotWaitLongFor(): void
    {
        $plan = Planner::plan(new Problem(Objective::WeightedTardiness, 1, 20, [new SharedResource('bench', false, 1, Openings::of([[0, 30]]))], [new PlanJob('j', 100)], [
            new Operation('strip', 'j', 10, [['bench', 1]]),
            new Operation('dip', 'j', 25, after: ['strip'], atMostAfter: 20, pinned: 66),
        ]));

        self::assertSame([], Checker::faults($plan));
        self::assertSame([], $plan->placed);
        self::assertCount(2, $plan->unplanned);
    }

    /** Where nothing else tells two apart, #9 comes before #10, and whatever numbers jobs bear, the same work is planned the same. */
    public function testJobsAreTakenInTheOrderInWhichPeopleCount(): void
    {
        $of = static fn (int $first): array => array_map(static fn (Placed $one): array => [(int) $one->operation->id - $first, $one->start], Planner::plan(new Problem(Objective::WeightedTardiness, 1, 20, [new SharedResource('wim', true, 1, Openings::always())], array_map(static fn (int $job): PlanJob => new PlanJob((string) $job), range($first, $first + 3)), array_map(static fn (int $job): Operation => new Operation("$job.look", (string) $job, 10, [['wim', 1]]), range($first, $first + 3))))->placed);
        self::assertSame([[0, 0], [1, 10], [2, 20], [3, 30]], $of(8));
        self::assertSame($of(8), $of(301));
        self::assertSame([-1, 1, 0], [Problem::inOrder('9.a', '10.a'), Problem::inOrder('1', '01'), Problem::inOrder('7', '7')]);
    }

    /** What is sorted as a job shop must be one: its search knows no gap that may not be long, no batch, no opening, no second way. */
    public function testAJobShopIsOneInEveryRespect(): void
    {
        [$shop] = Problems::jobShop('ft06');
        $turns = $shop->asWritten();
        $is = static fn (Problem $problem): bool => JobShop::is(new Instance($problem));
        $with = static fn (Operation ...$more): Problem => $shop->changed(operations: [...$turns, ...array_values($more)]);
        $machine = static fn (SharedResource $instead): Problem => $shop->changed(resources: array_map(static fn (SharedResource $one): SharedResource => $one->id === $instead->id ? $instead : $one, $shop->resources));

        self::assertTrue($is($shop));
        self::assertTrue($is($with(new Operation('more', 'j0', 3, [['m1', 1]], after: ['j0.5']))));
        self::assertFalse($is(new Problem(Objective::WeightedTardiness, 1, 20, $shop->resources, $shop->jobs, $turns)), 'a promise counts');
        self::assertFalse($is($with(new Operation('soon', 'j0', 3, [['m1', 1]], after: ['j0.5'], atMostAfter: 10))), 'one that may not wait');
        self::assertFalse($is($with(new Operation('never', 'j0', 3, [['m1', 1]], after: ['never']))), 'one that cannot be planned');
        self::assertFalse($is($with(new Operation('either', 'j0', 3, oneOf: [['m0'], ['m1']], after: ['j0.5']))), 'one with two ways');
        self::assertFalse($is($with(new Operation('both', 'j0', 3, [['m0', 1], ['m1', 1]], after: ['j0.5']))), 'one on two machines');
        self::assertFalse($is($with(new Operation('set', 'j0', 3, [['m0', 1]], after: ['j0.5'], pinned: 900))), 'one that is set at a time');
        self::assertFalse($is($with(new Operation('joins', 'j0', 3, [['m0', 1]], after: ['j0.5', 'j0.1']))), 'one that waits for two');
        self::assertFalse($is($with(new Operation('forks', 'j0', 3, [['m0', 1]], after: ['j0.1']))), 'one of two that wait');
        self::assertFalse($is($machine(new SharedResource('m2', false, 2, Openings::always()))), 'a machine with room for two');
        self::assertFalse($is($machine(new SharedResource('m2', false, 1, Openings::of([[0, 500], [600, 9000]])))), 'a machine that rests');
        self::assertFalse($is($machine(new SharedResource('m2', false, 1, Openings::always(), 10))), 'a machine of batches');
        self::assertFalse($is($shop->changed(operations: [$turns[0]])), 'a single piece');
        self::assertTrue($is($shop->changed(operations: [$turns[0], $turns[1]])));
    }

    /** A job that comes back to a machine makes no circle there, and is planned as well as by trying all. */
    public function testJobsThatComeBackToAMachineArePlannedAsWellAsByTryingAll(): void
    {
        $tried = 0;
        foreach (range(1, 60) as $seed) {
            $problem = Problems::anyJobShop($seed);
            $instance = new Instance($problem);
            $all = new Builder($instance);
            $all->build($instance->order);
            if (!Exhaustive::search(new Builder($instance), $best = new Incumbent($all, new Steps(4000)))) {
                continue;
            }
            ++$tried;
            $found = new Incumbent($all, new Steps(60));
            JobShop::search($instance, $found, LowerBound::of($instance), $seed);
            self::assertSame($best->rank[1], $found->rank[1], "shop $seed");
        }
        self::assertGreaterThan(15, $tried);
    }

    public function testWhatItPlansCanBeWorkedAndNothingIsDropped(): void
    {
        foreach ([...range(1, 250), ...range(1850, 2050)] as $seed) {
            $problem = Problems::madeUp($seed, 1 + $seed % ($seed < 1000 ? 5 : 9), budget: $seed < 1000 ? 20 : 3);
            $plan = Planner::plan($problem);

            self::assertSame([], array_map(static fn (array $fault): string => $fault[0]->id.' '.$fault[1]->value, Checker::faults($plan)), 'made-up '.$seed);
            self::assertCount(\count($problem->operations), [...$plan->placed, ...$plan->unplanned], 'made-up '.$seed);
            self::assertLessThanOrEqual($plan->value(), $plan->lowerBound, 'made-up '.$seed);
        }
    }

    public function testTheOrderInWhichItIsWrittenDownChangesNothing(): void
    {
        foreach (range(1, 60) as $seed) {
            $problem = Problems::madeUp($seed, 1 + $seed % 5, withPins: false);
            $turned = new Problem($problem->objective, $problem->seed, $problem->budget, array_reverse($problem->resources), array_reverse($problem->jobs), array_reverse($problem->asWritten()));

            self::assertSame(PlanFormat::write(Planner::plan($problem), 0), PlanFormat::write(Planner::plan($turned), 0), 'made-up '.$seed);
        }
    }

    public function testMoreTimeIsNeverWorse(): void
    {
        $problem = Problems::week(1, 30);
        $values = [];
        foreach ([0, 30, 120, 500] as $budget) {
            $values[] = Planner::plan($problem->with(budget: $budget))->value();
        }
        $sorted = $values;
        rsort($sorted);

        self::assertSame($sorted, $values);
        self::assertLessThan($values[0], $values[3]);
    }

    /** Starts minute by minute, each plan looked through: what the search finds nothing better than. */
    public function testNoPlanOfASmallShopIsBetter(): void
    {
        foreach (range(1, 40) as $seed) {
            $problem = Problems::madeUp($seed, 2, withPins: false, budget: 200);
            if (\count($problem->operations) > 3) {
                continue;
            }
            $plan = Planner::plan($problem);
            if ([] === $plan->unplanned) {
                self::assertSame($this->bestOfAll($problem, $plan), $plan->value(), 'made-up '.$seed);
            }
        }
    }

    public function testAWeekIsFarBetterThanByDueDates(): void
    {
        $problem = Problems::week(3);
        $plan = Planner::plan($problem->with(budget: 600));
        $first = Planner::plan($problem->with(budget: 0));

        self::assertSame([], $plan->unplanned);
        self::assertSame([], Checker::faults($plan));
        self::assertLessThan(0.6 * $first->value(), $plan->value());
    }

    public function testLikeGoesIntoOneBath(): void
    {
        $bath = static fn (string $job, string $key): Operation => new Operation($job.'.bath', $job, 10, [['bath', 1]], batchKey: $key);
        $plan = Planner::plan(new Problem(Objective::Makespan, 1, 100, [new SharedResource('bath', false, 3, Openings::always(), 10)], [new PlanJob('a'), new PlanJob('b'), new PlanJob('c'), new PlanJob('d')], [$bath('a', 'hot'), $bath('b', 'solvent'), $bath('c', 'hot'), $bath('d', 'hot')]));

        self::assertSame(20, $plan->makespan());
        $starts = array_column(array_map(static fn (Placed $one): array => [$one->operation->id, $one->start], $plan->placed), 1, 0);
        self::assertSame([$starts['a.bath'], $starts['a.bath']], [$starts['c.bath'], $starts['d.bath']]);
        self::assertNotSame($starts['a.bath'], $starts['b.bath']);
    }

    public function testWhatMayNotWaitIsNotBegunTooSoon(): void
    {
        $plan = $this->shop([
            new Operation('long', 'other', 100, [['wim', 1]]),
            new Operation('soak', 'job', 10, [['bath', 1]], batchKey: 'solvent'),
            new Operation('rinse', 'job', 5, [['wim', 1]], after: ['soak'], atMostAfter: 15),
        ], ['other' => 100, 'job' => 500]);

        self::assertSame([], Checker::faults($plan));
        self::assertSame(100, $plan->of('rinse')?->start);
        self::assertGreaterThanOrEqual(85, $plan->of('soak')?->end);
    }

    public function testWhatMayBeBrokenOffGoesOnAtTheNextOpening(): void
    {
        $plan = $this->shop([new Operation('strip', 'job', 60, [['tamsin', 1]], splits: true)], ['job' => null]);

        self::assertSame([0, 70], [$plan->of('strip')?->start, $plan->of('strip')?->end]);
    }

    public function testAPinIsKeptAndWhatComesFirstIsDoneBeforeIt(): void
    {
        $plan = $this->shop([
            new Operation('first', 'job', 30, [['wim', 1]]),
            new Operation('then', 'job', 10, [['wim', 1]], after: ['first'], pinned: 40),
            new Operation('urgent', 'other', 35, [['wim', 1]]),
        ], ['other' => 0, 'job' => null]);

        self::assertSame(40, $plan->of('then')?->start);
        self::assertSame(0, $plan->of('first')?->start);
        self::assertSame(50, $plan->of('urgent')?->start);
    }

    public function testAPinAtTheFirstMinuteIsKept(): void
    {
        $plan = $this->shop([new Operation('urgent', 'other', 35, [['wim', 1]]), new Operation('now', 'job', 10, [['wim', 1]], pinned: 0)], ['other' => 0, 'job' => null]);

        self::assertSame([0, 10], [$plan->of('now')?->start, $plan->of('urgent')?->start]);
    }

    public function testABudgetIsSpentToItsLastStep(): void
    {
        $steps = new Steps(2);
        $steps->spend(149);
        self::assertFalse($steps->areSpent(), 'seventy-five a millisecond');
        $steps->spend(1);
        self::assertTrue($steps->areSpent());
    }

    public function testOfTwoPinsInConflictTheLaterWrittenGivesWay(): void
    {
        $plan = $this->shop([
            new Operation('z', 'job', 30, [['wim', 1]], pinned: 10),
            new Operation('a', 'other', 30, [['wim', 1]], pinned: 20),
        ], ['job' => null, 'other' => null]);

        self::assertSame(10, $plan->of('z')?->start);
        self::assertSame(['a' => WhyNot::PinConflict], $this->why($plan));
    }

    public function testTwoPinsStandTogetherWhereOneOfThemCanBeDoneByAnother(): void
    {
        $plan = $this->shop([
            new Operation('a', 'job', 30, oneOf: [['wim'], ['pip']], pinned: 10),
            new Operation('b', 'other', 30, [['wim', 1]], pinned: 20),
        ], ['job' => null, 'other' => null]);

        self::assertSame([], $plan->unplanned);
        self::assertTrue($plan->of('a')?->takes('pip'));
    }

    public function testWhatCannotBePlannedIsSaidAndTheRestIsPlanned(): void
    {
        $plan = $this->shop([
            new Operation('whole', 'good', 30, [['tamsin', 1]]),
            new Operation('too long', 'long', 51, [['tamsin', 1]]),
            new Operation('after it', 'long', 5, after: ['too long']),
            new Operation('egg', 'round', 5, after: ['hen']),
            new Operation('hen', 'round', 5, after: ['egg']),
            new Operation('chick', 'round', 5, after: ['egg']),
            new Operation('nobody', 'never', 5, [['absent', 1]]),
            new Operation('too soon', 'early', 5, [['wim', 1]], pinned: 3),
        ], ['good' => null, 'long' => 10, 'round' => null, 'never' => null, 'early' => 0], ['early' => 5]);

        self::assertEqualsCanonicalizing([
            'too long' => WhyNot::LongerThanAnyOpening,
            'after it' => WhyNot::FollowsUnplanned,
            'egg' => WhyNot::Cycle,
            'hen' => WhyNot::Cycle,
            'chick' => WhyNot::FollowsUnplanned,
            'nobody' => WhyNot::LongerThanAnyOpening,
            'too soon' => WhyNot::PinConflict,
        ], $this->why($plan));
        self::assertSame(0, $plan->of('whole')?->start);
        self::assertSame(['good' => 30], $plan->ends());
    }

    public function testWhereNotAllHasRoomTheLeastWeightIsLeftOut(): void
    {
        $work = static fn (string $job, int $minutes): Operation => new Operation($job.'.work', $job, $minutes, [['short', 1]]);
        $plan = Planner::plan(new Problem(
            Objective::WeightedTardiness,
            1,
            200,
            [new SharedResource('short', true, 1, Openings::of([[0, 60]]))],
            [new PlanJob('long', 0, 2), new PlanJob('one', 0, 2), new PlanJob('two', 0, 2)],
            [$work('long', 50), $work('one', 30), $work('two', 30)],
        ));

        self::assertSame(['long.work' => WhyNot::NoRoom], $this->why($plan));
    }

    public function testAPromiseInThePastIsLateAndPlanned(): void
    {
        $plan = $this->shop([new Operation('work', 'job', 10, [['wim', 1]])], ['job' => -100]);

        self::assertSame(['job' => 110], $plan->late());
        self::assertTrue($plan->isProved);
    }

    public function testTenThousandOperationsArePlanned(): void
    {
        $plan = Planner::plan(Problems::week(7, 1250)->with(budget: 50));

        self::assertCount(10_000, [...$plan->placed, ...$plan->unplanned]);
        self::assertNotSame([], $plan->placed);
    }

    public function testANumberIsAGoodName(): void
    {
        $plan = Planner::plan(new Problem(Objective::Makespan, 1, 10, [new SharedResource('7', true, 1, Openings::always())], [new PlanJob('1'), new PlanJob('02')], [new Operation('3', '1', 5, [['7', 1]]), new Operation('03', '02', 5, [['7', 1]], after: ['3'])]));

        self::assertSame(['3', '03'], array_map(static fn (Placed $one): string => $one->operation->id, $plan->placed));
        self::assertSame([['7'], ['7']], array_column((array) PlanFormat::write($plan, 0)['operations'], 'uses'));
    }

    /** @return array<array-key, WhyNot> */
    private function why(Plan $plan): array
    {
        return array_column(array_map(static fn (array $one): array => [$one[0]->id, $one[1]], $plan->unplanned), 1, 0);
    }

    /**
     * @param list<Operation>         $operations
     * @param array<string, int|null> $due        by job
     * @param array<string, int>      $release    by job
     */
    private function shop(array $operations, array $due, array $release = []): Plan
    {
        $person = static fn (string $id, Openings $open): SharedResource => new SharedResource($id, true, 1, $open);

        return Planner::plan(new Problem(
            Objective::WeightedTardiness,
            1,
            100,
            [$person('wim', Openings::always()), $person('pip', Openings::always()), $person('tamsin', Openings::of([[0, 50], [60, 100]])), $person('absent', Openings::of([])), new SharedResource('bath', false, 1, Openings::always(), 10)],
            array_map(static fn (string $job): PlanJob => new PlanJob($job, $due[$job], 1, $release[$job] ?? 0), array_keys($due)),
            $operations,
        ));
    }

    private function bestOfAll(Problem $problem, Plan $found): int
    {
        $best = \PHP_INT_MAX;
        $latest = $found->makespan();
        $try = static function (array $placed) use (&$try, &$best, $problem, $latest): void {
            $operation = $problem->operations[\count($placed)] ?? null;
            if (null === $operation) {
                $plan = new Plan($problem, array_values(array_filter($placed, static fn (mixed $one): bool => $one instanceof Placed)), []);
                $best = [] === Checker::faults($plan) ? min($best, $plan->value()) : $best;

                return;
            }
            $alone = new Operation($operation->id, $operation->job, $operation->minutes, $operation->uses, $operation->oneOf, splits: $operation->splits, batchKey: $operation->batchKey);
            foreach (array_keys($operation->ways()) as $way) {
                for ($start = 0; $start <= $latest; ++$start) {
                    // What may be broken off ends where its minutes are over; the checker knows the only right end.
                    for ($end = $start + $operation->minutes, $last = $operation->splits ? $latest : $end; $end <= $last; ++$end) {
                        if ([] === Checker::faults(new Plan($problem, [new Placed($alone, $start, $end, $way)], []))) {
                            $try([...$placed, new Placed($operation, $start, $end, $way)]);
                        }
                    }
                }
            }
        };
        $try([]);

        return $best;
    }
}
