<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Units;

use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\Power;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\Resistance;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\Share;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class QuantityTest extends TestCase
{
    /** @return iterable<string, array{class-string<Quantity>}> */
    public static function dimensions(): iterable
    {
        foreach ([Volume::class, Length::class, Temperature::class, Duration::class, CalendarSpan::class, Ratio::class, ShaftSpeed::class, Pressure::class, VolumeFlow::class, Frequency::class, Share::class, Resistance::class, Voltage::class, Power::class, KinematicViscosity::class, Money::class] as $dimension) {
            yield $dimension => [$dimension];
        }
    }

    /** @param class-string<Quantity> $dimension */
    #[DataProvider('dimensions')]
    public function testSurvivesEveryRoundOfItsUnits(string $dimension): void
    {
        $random = new Seeded(20261123);
        for ($case = 0; $case < 200; ++$case) {
            $amount = $random->float(0.001, 5000);
            foreach ($dimension::units() as $from) {
                foreach ($dimension::units() as $through) {
                    $there = $dimension::of($amount, $from)->in($through);
                    self::assertEqualsWithDelta($amount, $dimension::of($there, $through)->in($from), 1e-9 * $amount + 1e-9);
                }
            }
        }
    }

    /** What is a quarter more is at the edge of a quarter more, whatever the way through another unit left in the last digits. */
    public function testAShareOfTwoOfOneUnitIsThatOfTheirNumbers(): void
    {
        self::assertSame(1.25, Pressure::psi(2500)->over(Pressure::psi(2000)));
        self::assertSame(1.1, Volume::of(9.9, VolumeUnit::FluidOunce)->over(Volume::of(9, VolumeUnit::FluidOunce)));
        self::assertSame(0.0, Volume::millilitres(0)->over(Volume::millilitres(3)));
        self::assertEqualsWithDelta(1 / 3, Volume::millilitres(1)->over(Volume::millilitres(3)), 1e-12);
    }

    public function testARefusalSaysItsFiguresToFourPlaces(): void
    {
        $refusal = ImpossibleAmount::outside(1.23456, -2.34567, 3.45678, 'mm');
        self::assertSame(['value' => 1.2346, 'least' => -2.3457, 'most' => 3.4568, 'unit' => 'mm'], $refusal->figures());
        self::assertSame('1.2346 mm, allowed -2.3457 to 3.4568 mm.', $refusal->getMessage());
        self::assertSame([['value' => 2.3457], '2.3457 is not a whole number.'], [ImpossibleAmount::notWhole(2.345678)->figures(), ImpossibleAmount::notWhole(2.345678)->getMessage()]);
        // Below nothing it is said in degrees, of which people have a notion.
        self::assertSame([['value' => -283.15], '-10 K is below absolute zero.'], [ImpossibleAmount::belowAbsoluteZero(-10)->figures(), ImpossibleAmount::belowAbsoluteZero(-10)->getMessage()]);
        self::assertSame('-1.23 K is below absolute zero.', ImpossibleAmount::belowAbsoluteZero(-1.2345)->getMessage());
    }

    public function testADifferenceKnowsNothingOfWhereItsScaleBegins(): void
    {
        self::assertEqualsWithDelta(9.0, Temperature::of(5, TemperatureUnit::Kelvin)->per(TemperatureUnit::Fahrenheit), 1e-9);
        self::assertEqualsWithDelta(5.0, Temperature::of(5, TemperatureUnit::Kelvin)->per(TemperatureUnit::Celsius), 1e-9);
        self::assertEqualsWithDelta(1.5, Volume::millilitres(1500)->per(VolumeUnit::Litre), 1e-12);
    }

    public function testThingsAreCountedWhole(): void
    {
        self::assertSame(78.0, Count::each(78)->inEach());
        $this->expectException(ImpossibleAmount::class);
        Count::each(77.6);
    }

    public function testRefusesWhatIsNoNumber(): void
    {
        foreach ([\NAN, \INF, -\INF] as $amount) {
            try {
                Volume::millilitres($amount);
                self::fail('It was taken.');
            } catch (ImpossibleAmount $refusal) {
                self::assertSame('amount.not_finite', $refusal->reason());
            }
        }
    }

    public function testKnowsAbsoluteZeroInEveryScale(): void
    {
        self::assertEqualsWithDelta(0.0, Temperature::of(-459.67, TemperatureUnit::Fahrenheit)->in(TemperatureUnit::Kelvin), 1e-9);
        $this->expectException(ImpossibleAmount::class);
        Temperature::celsius(-300);
    }

    public function testMinusFortyIsTheSameInCelsiusAndFahrenheit(): void
    {
        self::assertEqualsWithDelta(-40.0, Temperature::celsius(-40)->in(TemperatureUnit::Fahrenheit), 1e-9);
    }

    public function testNeverMixesDimensions(): void
    {
        $this->expectException(\LogicException::class);
        Volume::millilitres(1)->in(LengthUnit::Inch);
    }

    public function testAddsComparesAndDividesItsOwnKind(): void
    {
        $sum = Volume::millilitres(100)->plus(Volume::of(1, VolumeUnit::Litre))->minus(Volume::millilitres(50));
        self::assertEqualsWithDelta(1050.0, $sum->inMillilitres(), 1e-9);
        self::assertEqualsWithDelta(2.0, $sum->times(2)->over($sum), 1e-12);
        self::assertTrue($sum->isGreaterThan(Volume::zero()));
        self::assertFalse($sum->isLessThan(Volume::zero()));
    }

    public function testRefusesToDivideByNothing(): void
    {
        $this->expectException(ImpossibleAmount::class);
        Volume::millilitres(1)->over(Volume::zero());
    }

    public function testAnIntervalForgivesRoundingAtItsEndsAndNothingMore(): void
    {
        $interval = new Interval(0.0, 40.0, TemperatureUnit::Celsius);
        self::assertTrue($interval->contains(Temperature::of(104, TemperatureUnit::Fahrenheit)));
        self::assertFalse($interval->contains(Temperature::of(104.01, TemperatureUnit::Fahrenheit)));
    }

    public function testAnIntervalHasTwoEndsTheLeastFirst(): void
    {
        foreach ([[\NAN, 1], [0, \NAN], [-\INF, 1], [0, \INF], [2, 1]] as [$least, $most]) {
            try {
                new Interval($least, $most, TemperatureUnit::Celsius);
                self::fail("From $least to $most was taken.");
            } catch (\LogicException $refusal) {
                self::assertStringContainsString('No reading lies between', $refusal->getMessage());
            }
        }
        self::assertTrue((new Interval(3, 3, VolumeUnit::Millilitre))->contains(Volume::millilitres(3)));
    }

    public function testARefusalNamesTheValueAndTheIntervalInOneUnit(): void
    {
        try {
            (new Interval(500, 15000, SpeedUnit::Rpm))->demand(ShaftSpeed::of(90000, SpeedUnit::Rpm));
            self::fail('It was taken.');
        } catch (ImpossibleAmount $refusal) {
            self::assertSame(['value' => 90000.0, 'least' => 500.0, 'most' => 15000.0, 'unit' => 'rpm'], $refusal->figures());
        }
    }
}
