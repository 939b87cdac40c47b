<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Oil;

use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FlushPlanTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, int}> dilution, share left, target, changes; counted by hand */
    public static function plans(): iterable
    {
        yield 'nothing was in it' => [0.0, 0.1, 0.02, 0];
        yield 'one would do by arithmetic, the school asks for two' => [0.10, 0.1, 0.02, 2];
        yield 'two bring 39 % to 0.4 %' => [0.39, 0.1, 0.02, 2];
        yield 'a badly draining sump: 40, 12, 3.6, 1.08 %' => [0.40, 0.3, 0.02, 3];
        yield 'exactly at the target is there: 20, 2 %' => [0.20, 0.1, 0.02, 2];
    }

    #[DataProvider('plans')]
    public function testCountsChanges(float $dilution, float $left, float $target, int $changes): void
    {
        self::assertSame($changes, self::plan($dilution, $left, $target)->changes);
    }

    public function testThePlanReachesItsTargetAndOneChangeLessWouldNot(): void
    {
        $random = new Seeded(5);
        for ($case = 0; $case < 300; ++$case) {
            $target = $random->float(0.005, 0.05);
            $plan = self::plan($random->float(0.06, 0.8), $random->float(0.02, 0.5), $target, 0);
            $after = $plan->dilution;
            self::assertCount($plan->changes + 1, $after);
            self::assertLessThanOrEqual($target * 1.0001, $after[$plan->changes]);
            self::assertGreaterThan($target, $after[max(0, $plan->changes - 1)]);
        }
    }

    public function testAWarmRunThatBoilsOffSomeSavesChanges(): void
    {
        $cold = FlushPlan::reach(0.5, 0.4, 0.02, 1.0, Volume::millilitres(600));
        $warm = FlushPlan::reach(0.5, 0.4, 0.02, 0.5, Volume::millilitres(600));
        self::assertLessThan($cold->changes, $warm->changes);
        self::assertTrue($warm->oil->isLessThan($cold->oil));
    }

    public function testOilIsCountedToTheMarkNotIntoWhatClings(): void
    {
        self::assertEqualsWithDelta(2 * 540.0, self::plan(0.2, 0.1, 0.02)->oil->inMillilitres(), 1e-6);
    }

    public function testRefusesSharesThatAreNone(): void
    {
        foreach ([[1.0, 0.1, 0.02], [0.2, 0.0, 0.02], [0.2, 0.1, 0.0], [\NAN, 0.1, 0.02]] as [$dilution, $left, $target]) {
            try {
                self::plan($dilution, $left, $target);
                self::fail('It was planned.');
            } catch (ImpossibleAmount $refusal) {
                self::assertSame('%', $refusal->figures()['unit']);
            }
        }
    }

    private static function plan(float $dilution, float $left, float $target, int $atLeast = FlushPlan::USUAL_CHANGES): FlushPlan
    {
        return FlushPlan::reach($dilution, $left, $target, 1.0, Volume::millilitres(600), $atLeast);
    }
}
