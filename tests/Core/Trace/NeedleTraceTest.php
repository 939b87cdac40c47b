<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Trace;

use AwakeShed\Core\Trace\NeedleReading;
use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\NeedleVerdict;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Tests\Core\Refuses;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NeedleTraceTest extends TestCase
{
    use Refuses;

    /** @return iterable<string, array{float}> samples a second */
    public static function rates(): iterable
    {
        foreach ([5, 10, 20, 100, 1000] as $rate) {
            yield "$rate a second" => [$rate];
        }
    }

    public function testAHoldOfAMinuteIsJudgedAsItIs(): void
    {
        $isExtrapolated = static fn (float $seconds): bool => NeedleTrace::fromPressures(Shapes::series(Shapes::needle(10, $seconds)))->isExtrapolated();

        // It lifts after three seconds, and is left alone from then on.
        self::assertSame([true, false], [$isExtrapolated(61.0), $isExtrapolated(66.0)]);
    }

    #[DataProvider('rates')]
    public function testFindsWhereItLiftsSeatsAndThatItHolds(float $rate): void
    {
        $trace = NeedleTrace::fromPressures(Shapes::series(Shapes::needle($rate)));
        self::assertSame(NeedleVerdict::Seals, $trace->verdict);
        // Between two samples the top may hide; the pump climbs 2.5 psi a second.
        self::assertEqualsWithDelta(7.6, self::psi($trace->popOff?->value), 0.12 + 2.5 / $rate);
        self::assertEqualsWithDelta(6.4, self::psi($trace->reseat?->value), 0.1);
        self::assertEqualsWithDelta(0.0, $trace->lossPerMinute?->inPsi(), 0.05);
        self::assertFalse($trace->isExtrapolated());
    }

    public function testHalfLifeAndTimeConstantOfAKnownDecay(): void
    {
        // Half gone in 200 s: ln 2 / 200 a second.
        $trace = NeedleTrace::fromPressures(Shapes::series(Shapes::needle(50, decay: log(2) / 200)));
        self::assertEqualsWithDelta(200, $trace->halfLife?->inSeconds(), 4);
        self::assertEqualsWithDelta(288.5, $trace->timeConstant()?->inSeconds(), 6);
        self::assertSame(NeedleVerdict::Leaks, $trace->verdict, 'a fifth of 6.4 psi in the minute');
        self::assertNull(NeedleTrace::fromPressures(Shapes::series(Shapes::needle(50)))->halfLife, 'what does not fall has none');
    }

    /** @return iterable<string, array{float, NeedleVerdict}> psi lost in a minute from 6.4 */
    public static function losses(): iterable
    {
        yield 'next to nothing' => [0.1, NeedleVerdict::Seals];
        yield 'slow' => [0.6, NeedleVerdict::Marginal];
        yield 'faster' => [1.6, NeedleVerdict::Leaks];
        yield 'fast' => [4.0, NeedleVerdict::Leaks];
    }

    #[DataProvider('losses')]
    public function testJudgesByWhatAMinuteCosts(float $loss, NeedleVerdict $verdict): void
    {
        $trace = NeedleTrace::fromPressures(Shapes::series(Shapes::needle(20, decay: $loss / 60 / 6.4)));
        self::assertSame($verdict, $trace->verdict);
    }

    public function testTheStrictReadingIsTheShops(): void
    {
        $series = Shapes::series(Shapes::needle(20, decay: 0.45 / 60 / 6.4));
        self::assertSame(NeedleVerdict::Marginal, NeedleTrace::fromPressures($series)->verdict);
        self::assertSame(NeedleVerdict::Seals, NeedleTrace::fromPressures($series, Pressure::psi(0.8))->verdict);
    }

    public function testReseatingLowIsNoSeal(): void
    {
        self::assertSame(NeedleVerdict::HoldsTooLow, NeedleTrace::fromPressures(Shapes::series(Shapes::needle(20, seat: 4.0)))->verdict);
    }

    public function testLiftingAtTwentyIsNoSeal(): void
    {
        self::assertSame(NeedleVerdict::LiftsHigh, NeedleTrace::fromPressures(Shapes::series(Shapes::needle(20, pop: 20)))->verdict);
    }

    public function testWhatRisesWhileItIsLeftAloneIsNoSeal(): void
    {
        // Half a psi in a minute, upward.
        self::assertSame(NeedleVerdict::Rises, NeedleTrace::fromPressures(Shapes::series(Shapes::needle(20, decay: -0.5 / 60 / 6.4)))->verdict);
    }

    public function testThePeakIsAsSampled(): void
    {
        [$times, $values] = Shapes::needle(20, noise: 0.0);
        $trace = NeedleTrace::fromPressures(Series::fromSamples($times, $values));
        self::assertEqualsWithDelta(PressureUnit::Psi->fromSi(max([0.0, ...$values])), $trace->peak->inPsi(), 1e-9);
    }

    /** @return iterable<string, array{float|null, float, float, NeedleVerdict}> lifts, seats, after a minute in psi */
    public static function gauged(): iterable
    {
        yield 'as it should' => [7.5, 6.5, 6.4, NeedleVerdict::Seals];
        yield 'slow' => [7.5, 6.5, 6.0, NeedleVerdict::Marginal];
        yield 'leaks' => [7.5, 6.5, 3.0, NeedleVerdict::Leaks];
        yield 'too low' => [7.5, 4.0, 4.0, NeedleVerdict::HoldsTooLow];
        yield 'too stiff' => [20.0, 7.0, 7.0, NeedleVerdict::LiftsHigh];
        yield 'rises' => [7.5, 6.0, 7.0, NeedleVerdict::Rises];
        yield 'not seen to lift' => [null, 6.5, 6.5, NeedleVerdict::HoldsPopOffUnknown];
    }

    #[DataProvider('gauged')]
    public function testAHandGaugeIsJudgedAsARecordingIs(?float $lifts, float $seats, float $after, NeedleVerdict $verdict): void
    {
        $read = NeedleReading::byGauge(null === $lifts ? null : Pressure::psi($lifts), Pressure::psi($seats), Pressure::psi($after), Pressure::psi(0.1));
        self::assertSame($verdict, $read->verdict(Pressure::psi(NeedleReading::STRICT_LOSS_PSI)));
    }

    public function testRefusesASeatAboveTheLift(): void
    {
        $this->expectException(ImpossibleAmount::class);
        NeedleReading::byGauge(Pressure::psi(6), Pressure::psi(7), Pressure::psi(7), Pressure::psi(0.1));
    }

    public function testOneThatDropsAllAtOnceLeaks(): void
    {
        self::assertSame(NeedleVerdict::Leaks, NeedleTrace::fromPressures(Shapes::series(Shapes::needle(20, seconds: 30, seat: 0.2)))->verdict);
    }

    public function testPumpedPastTenWithoutLiftingIsStuck(): void
    {
        $trace = NeedleTrace::fromPressures(self::plateau(12.0));
        self::assertSame(NeedleVerdict::NoPopOff, $trace->verdict);
        self::assertNull($trace->popOff);
        self::assertSame(NeedleVerdict::HoldsPopOffUnknown, NeedleTrace::fromPressures(self::plateau(6.0))->verdict);
    }

    public function testLettingThePumpGoAtTheEndIsNoPopOff(): void
    {
        [$times, $values] = self::samples(6.0);
        for ($n = 1; $n <= 40; ++$n) {
            $times[] = 60 + $n * 0.05;
            $values[] = PressureUnit::Psi->toSi(max(0.0, 6 - $n));
        }
        $trace = NeedleTrace::fromPressures(Series::fromSamples($times, $values));
        self::assertNull($trace->popOff);
        self::assertSame(NeedleVerdict::HoldsPopOffUnknown, $trace->verdict);
    }

    public function testTooLittleIsSaid(): void
    {
        self::assertSame(NeedleVerdict::NotEnough, NeedleTrace::fromPressures(Series::fromSamples([], []))->verdict);
        self::assertSame(NeedleVerdict::NotEnough, NeedleTrace::fromPressures(Series::fromSamples([0.0, 1.0], [0.0, 40_000.0]))->verdict);
        self::assertSame(NeedleVerdict::NotEnough, NeedleTrace::fromPressures(Shapes::series(Shapes::needle(20, seconds: 4.5)))->verdict, 'a second of hold is none');
        self::assertTrue(NeedleTrace::fromPressures(Shapes::series(Shapes::needle(20, seconds: 20)))->isExtrapolated());
    }

    public function testNeitherOrderNorSpikesNorGapsChangeTheVerdict(): void
    {
        $random = new Seeded(77);
        foreach ([[0.0, NeedleVerdict::Seals], [0.6 / 60 / 6.4, NeedleVerdict::Marginal], [0.02, NeedleVerdict::Leaks]] as [$decay, $verdict]) {
            for ($case = 0; $case < 8; ++$case) {
                [$times, $values] = Shapes::needle(50, decay: $decay, noise: 0.15, seed: $case);
                $kept = [];
                foreach ($times as $index => $time) {
                    // A dropped connection of four seconds, a lost sample in twenty, a spike in two hundred.
                    if (($time < 30 || $time > 34) && $random->int(1, 20) > 1) {
                        $kept[] = [$time, 1 === $random->int(1, 200) ? PressureUnit::Psi->toSi($random->float(0, 14)) : $values[$index]];
                    }
                }
                usort($kept, static fn (): int => $random->int(-1, 1));
                $trace = NeedleTrace::fromPressures(Series::fromSamples(array_column($kept, 0), array_column($kept, 1)));
                self::assertSame($verdict, $trace->verdict, "decay $decay, case $case");
                self::assertEqualsWithDelta(7.6, self::psi($trace->popOff?->value), 0.4);
                self::assertNotSame([], $trace->series->gaps());
            }
        }
    }

    public function testRefusesAStrictnessNobodyMeans(): void
    {
        self::assertRefused(static fn () => NeedleTrace::fromPressures(self::plateau(6.0), Pressure::psi(0)), static fn () => NeedleTrace::fromPressures(self::plateau(6.0), Pressure::psi(5)));
    }

    private static function plateau(float $psi): Series
    {
        return Series::fromSamples(...self::samples($psi));
    }

    /** @return array{list<float>, list<float>} pumped up to it in four seconds, held for the rest of a minute */
    private static function samples(float $psi): array
    {
        $times = $values = [];
        for ($n = 0; $n <= 1200; ++$n) {
            $times[] = $n * 0.05;
            $values[] = PressureUnit::Psi->toSi(min($psi, $psi * $n * 0.05 / 4));
        }

        return [$times, $values];
    }

    private static function psi(?float $pascals): ?float
    {
        return null === $pascals ? null : PressureUnit::Psi->fromSi($pascals);
    }
}
