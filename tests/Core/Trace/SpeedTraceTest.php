<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Trace;

use AwakeShed\Core\Running\PerformanceClass;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Trace\SpeedVerdict;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SpeedTraceTest extends TestCase
{
    /** @return iterable<string, array{float, float}> beat in s, samples a second */
    public static function beats(): iterable
    {
        foreach ([0.6, 1.8, 4.5] as $beat) {
            foreach ([10, 50, 1000] as $rate) {
                yield "$beat s at $rate a second" => [$beat, $rate];
            }
        }
    }

    public function testTwentySamplesAreEnoughAndNineteenAreNot(): void
    {
        $verdict = static fn (int $samples): SpeedVerdict => SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(1, $samples - 1, static fn (float $t): float => 3100.0)))->verdict;

        self::assertSame(SpeedVerdict::NotEnough, $verdict(19));
        self::assertNotSame(SpeedVerdict::NotEnough, $verdict(20));
    }

    #[DataProvider('beats')]
    public function testMeasuresTheSwingAndTheBeatOfAHunt(float $beat, float $rate): void
    {
        $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed($rate, 60, static fn (float $t): float => 3150 * (1 + 0.06 * sin(2 * \M_PI * $t / $beat)))));
        self::assertSame(SpeedVerdict::Hunts, $trace->verdict);
        self::assertEqualsWithDelta(3150, $trace->mean->in(SpeedUnit::Rpm), 10);
        // Six samples a beat miss the tips of it; from ten on a tenth is the most that is lost.
        self::assertEqualsWithDelta(0.12, $trace->swing, $beat * $rate < 10 ? 0.024 : 0.012);
        self::assertEqualsWithDelta($beat, $trace->beat?->inSeconds(), 0.04 * $beat);
    }

    public function testASwingSampledFiveTimesASecondIsNotSteady(): void
    {
        $hunt = static fn (float $beat, float $rate, float $depth, float $seconds = 40): SpeedTrace => SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed($rate, $seconds, static fn (float $t): float => 3150 * (1 + $depth * sin(2 * \M_PI * $t / $beat)), noise: 0)));
        // Five samples in two seconds meet the quickest beat too seldom to be called one.
        self::assertSame(SpeedVerdict::Unsteady, $hunt(0.5, 5, 0.04)->verdict);
        foreach ([0.7, 1.0, 2.0] as $beat) {
            self::assertSame(SpeedVerdict::Hunts, $hunt($beat, 5, 0.04)->verdict, "$beat s at 5 a second");
            self::assertSame(SpeedVerdict::Hunts, $hunt($beat, 10, 0.04)->verdict, "$beat s at 10 a second");
        }
        // Ten samples a second catch the tips of a beat of half a second to a fifth.
        self::assertSame(SpeedVerdict::Hunts, $hunt(0.5, 10, 0.04)->verdict);
        self::assertGreaterThan(0.064, $hunt(0.5, 10, 0.04)->swing);
    }

    public function testTooSlowlySampledToBeCalledSteady(): void
    {
        $slow = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(5, 40, static fn (float $t): float => $t < 20 ? 3735.0 : 3600.0, noise: 6)));
        self::assertSame(SpeedVerdict::SampledTooSlowly, $slow->verdict);
        self::assertNull($slow->verdict->outcome());
        self::assertEqualsWithDelta(0.8, $slow->shortestSeen->inSeconds(), 1e-6);
        self::assertEqualsWithDelta(3.75, $slow->droop(), 0.1);
        self::assertNull($slow->performanceClass(), 'the band may have fallen between the samples');
    }

    public function testDroopIsOfTheRatedSpeed(): void
    {
        $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(50, 40, static fn (float $t): float => $t < 20 ? 3735.0 : 3555.0, noise: 6)), null, ShaftSpeed::of(3600, SpeedUnit::Rpm));
        self::assertEqualsWithDelta(5.0, $trace->droop(), 0.02);
    }

    public function testASteadyEngineHasNoHunt(): void
    {
        $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(20, 40, static fn (): float => 3150.0, noise: 20)));
        self::assertSame(SpeedVerdict::Steady, $trace->verdict);
        self::assertLessThan(0.015, $trace->swing);
        self::assertNull($trace->droop());
    }

    public function testASlowWanderIsNoHunt(): void
    {
        $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(20, 60, static fn (float $t): float => 3150 * (1 + 0.05 * sin(2 * \M_PI * $t / 24)))));
        self::assertSame(SpeedVerdict::Unsteady, $trace->verdict);
    }

    public function testDroopAndClassOfAGeneratorUnderLoad(): void
    {
        // 3735 without, 3600 with: 135 in 3600 is 3.75 %.
        $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(50, 40, static fn (float $t): float => $t < 20 ? 3735 : 3600 - 150 * exp(-($t - 20) / 0.4), noise: 6)));
        self::assertSame(SpeedVerdict::Steady, $trace->verdict);
        self::assertEqualsWithDelta(3.75, $trace->droop(), 0.1);
        self::assertEqualsWithDelta(20, $trace->stepAt, 0.5);
        self::assertSame(PerformanceClass::G2, $trace->performanceClass());
        self::assertEqualsWithDelta(3600, $trace->loaded?->in(SpeedUnit::Rpm), 8);
    }

    public function testASwingSlowerThanFiveSecondsIsNoHunt(): void
    {
        $swinging = static fn (float $period): SpeedVerdict => SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(20, 60, static fn (float $t): float => 3150 * (1 + 0.06 * sin(2 * \M_PI * $t / $period)))))->verdict;
        self::assertSame(SpeedVerdict::Hunts, $swinging(4.8));
        self::assertSame(SpeedVerdict::Unsteady, $swinging(5.25));
    }

    public function testAHuntIsNoLoadStep(): void
    {
        $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(20, 60, static fn (float $t): float => 3150 * (1 + 0.06 * sin(2 * \M_PI * $t / 3)))));
        self::assertNull($trace->stepAt);
    }

    public function testTheStartIsLeftOut(): void
    {
        $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(20, 30, static fn (float $t): float => $t < 4 ? 350 : 3100)));
        self::assertSame(SpeedVerdict::Steady, $trace->verdict);
        self::assertTrue($trace->leavesPartOut);
        self::assertEqualsWithDelta(5, $trace->runsFrom, 0.2, 'and a second for the throttle');
        self::assertEqualsWithDelta(3100, $trace->mean->in(SpeedUnit::Rpm), 10);
    }

    public function testOfTwoRunsTheLongerOneIsJudgedAndOfTwoAlikeTheFirst(): void
    {
        $mean = static fn (float $first, float $second): float => SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(10, $first + $second + 20, static fn (float $t): float => match (true) {
            $t >= 10 && $t < 10 + $first => 3000.0,
            $t >= 15 + $first && $t < 15 + $first + $second => 2500.0,
            default => 0.0,
        })))->mean->in(SpeedUnit::Rpm);
        self::assertEqualsWithDelta([3000, 3000, 2500], [$mean(30, 20), $mean(25, 25), $mean(20, 30)], 1.0);
    }

    public function testASlowRecordingOfWhatRanAllAlongLeavesNothingOut(): void
    {
        $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(0.5, 120, static fn (): float => 3100)));
        self::assertSame(SpeedVerdict::SampledTooSlowly, $trace->verdict);
        self::assertFalse($trace->leavesPartOut);
    }

    public function testTooFastIsSaidWhateverElseItDoes(): void
    {
        $limit = ShaftSpeed::of(3456, SpeedUnit::Rpm);
        $fast = Shapes::series(Shapes::speed(20, 20, static fn (): float => 3600.0));
        self::assertSame(SpeedVerdict::Overspeeds, SpeedTrace::fromSpeeds($fast, $limit)->verdict);
        self::assertSame(SpeedVerdict::Steady, SpeedTrace::fromSpeeds($fast)->verdict);
        self::assertSame(SpeedVerdict::Overspeeds, SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(20, 3, static fn (): float => 3600.0)), $limit)->verdict, 'even of a run too short to judge');
        // One mad sample is not an engine running away.
        [$times, $values] = Shapes::speed(20, 20, static fn (): float => 3100.0);
        $values = array_map(static fn (int $n): float => 200 === $n ? SpeedUnit::Rpm->toSi(9000) : $values[$n], array_keys($values));
        self::assertSame(SpeedVerdict::Steady, SpeedTrace::fromSpeeds(Series::fromSamples($times, $values), $limit)->verdict);
    }

    public function testTooLittleIsSaid(): void
    {
        self::assertSame(SpeedVerdict::NotEnough, SpeedTrace::fromSpeeds(Series::fromSamples([], []))->verdict);
        self::assertSame(SpeedVerdict::NotEnough, SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(20, 3, static fn (): float => 3100.0)))->verdict);
        self::assertSame(SpeedVerdict::NotEnough, SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(20, 20, static fn (): float => 0.0, noise: 0)))->verdict, 'a still engine');
    }
}
