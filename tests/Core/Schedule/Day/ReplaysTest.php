<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule\Day;

use AwakeShed\Core\Schedule\Day\JobOdds;
use AwakeShed\Core\Schedule\Day\LearnedTime;
use AwakeShed\Core\Schedule\Day\Replays;
use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\SharedResource;
use PHPUnit\Framework\TestCase;

final class ReplaysTest extends TestCase
{
    /** One piece of log-normal time is over in time with the chance of the normal law: Φ(ln(due ÷ typical) ÷ spread). */
    public function testOnePieceIsOverWithTheChanceOfItsLaw(): void
    {
        // Φ(1) = 0.841345, Φ(0) = 0.5, Φ(−1) = 0.158655 (published: any table of the normal law); e^0.5 = 1.648721.
        foreach ([[1649, 0.841345], [1000, 0.5], [607, 0.158655]] as [$due, $chance]) {
            $odds = $this->chain(1, 1000, $due, 0.5, 20_000);

            self::assertEqualsWithDelta($chance, $odds->kept(), 0.01);
        }
    }

    /** The mean of a log-normal time is its median times e^(σ²/2), and means add up: 10 × 100 × e^0.08 = 1083.3. */
    public function testAChainTakesTheSumOfItsMeans(): void
    {
        $odds = $this->chain(10, 100, 1083, 0.4, 8000);

        // A sum of ten is nearly symmetric, its median a little below its mean.
        self::assertEqualsWithDelta(1083.3, $odds->readyBy(0.5), 20);
        // Variance of one: (e^0.16 − 1) × e^0.16 × 100² = 2036; of ten: 142.7 minutes of deviation; 1.2816 of them above: 1266.
        self::assertEqualsWithDelta(1266, $odds->readyBy(0.9), 25);
    }

    public function testWhatIsAsPlannedEndsAsPlanned(): void
    {
        $plan = Planner::plan(new Problem(
            Objective::WeightedTardiness,
            1,
            50,
            [new SharedResource('tamsin', true, 1, Openings::of([[0, 50], [100, 200]])), new SharedResource('bath', false, 2, Openings::always(), 10)],
            [new PlanJob('one', 60), new PlanJob('two', 500), new PlanJob('late', 20, release: 30)],
            [
                new Operation('strip', 'one', 40, [['tamsin', 1]]), new Operation('bath', 'one', 10, [['bath', 1]], after: ['strip']),
                new Operation('strip 2', 'two', 60, [['tamsin', 1]], splits: true), new Operation('bath 2', 'two', 10, [['bath', 1]], after: ['strip 2']),
                new Operation('stands', 'late', 5),
            ],
        ));
        $odds = (new Replays($plan))->run([], 1, 3);

        foreach ($plan->ends() as $job => $end) {
            self::assertSame($end, $odds[$job]->readyBy(1.0), (string) $job);
        }
        self::assertSame(1.0, $odds['one']->kept());
        self::assertSame(0.0, $odds['late']->kept());
    }

    public function testWhatIsSetAtATimeBeginsNoSooner(): void
    {
        $plan = Planner::plan(new Problem(Objective::WeightedTardiness, 1, 50, [new SharedResource('wim', true, 1, Openings::always())], [new PlanJob('job', 65)], [
            new Operation('set', 'job', 10, [['wim', 1]], pinned: 60),
        ]));

        $odds = (new Replays($plan))->run([], 3)['job'];
        self::assertSame([70.0, 0.0], [(float) $odds->readyBy(0.5), $odds->kept()]);
    }

    public function testSaysWhatALatePromiseHangsOn(): void
    {
        $plan = Planner::plan(new Problem(Objective::WeightedTardiness, 1, 50, [new SharedResource('wim', true, 1, Openings::always())], [new PlanJob('job', 130)], [
            new Operation('sure', 'job', 60, [['wim', 1]]), new Operation('unsure', 'job', 60, [['wim', 1]], after: ['sure']),
        ]));

        self::assertSame('unsure', (new Replays($plan))->run(['unsure' => 0.8], 1)['job']->hangsOn[0]);
    }

    public function testTheSameSeedFallsTheSameWay(): void
    {
        self::assertEquals($this->chain(3, 50, 150, 0.4, 200), $this->chain(3, 50, 150, 0.4, 200));
    }

    public function testATimeIsLearnedFromWhatWasTimed(): void
    {
        self::assertSame(1.0, LearnedTime::from(0.3, [])->factor);
        self::assertEqualsWithDelta(0.3, LearnedTime::from(0.3, [])->spread, 1e-9);
        $slow = LearnedTime::from(0.3, array_fill(0, 40, [20.0, 30.0]));
        self::assertEqualsWithDelta(1.45, $slow->factor, 0.03);
        self::assertLessThan(0.2, $slow->spread);
        // Who forgot the clock overnight teaches nothing.
        self::assertSame(0, LearnedTime::from(0.3, [[20.0, 900.0]])->timed);
    }

    private function chain(int $steps, int $minutes, int $due, float $spread, int $runs): JobOdds
    {
        $operations = [];
        for ($step = 0; $step < $steps; ++$step) {
            $operations[] = new Operation('o'.$step, 'job', $minutes, [['wim', 1]], after: 0 === $step ? [] : ['o'.($step - 1)]);
        }
        $plan = Planner::plan(new Problem(Objective::WeightedTardiness, 1, 10, [new SharedResource('wim', true, 1, Openings::always())], [new PlanJob('job', $due)], $operations));

        return (new Replays($plan))->run(array_fill_keys(array_map(static fn (Operation $one): string => $one->id, $operations), $spread), 7, $runs)['job'];
    }
}
