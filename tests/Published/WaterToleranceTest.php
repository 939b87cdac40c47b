<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Fuel\WaterTolerance;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;
use PHPUnit\Framework\TestCase;

/** US EPA note on water phase separation in oxygenated gasoline, 1995 (published, quoted from memory). */
final class WaterToleranceTest extends TestCase
{
    public function testAGallonOfE10HoldsNearlyFourTeaspoonsAtSixtyFahrenheit(): void
    {
        $held = WaterTolerance::shipped()->tolerated(0.10, Temperature::of(60, TemperatureUnit::Fahrenheit), Volume::of(1, VolumeUnit::Gallon));
        self::assertEqualsWithDelta(3.8, $held->water->in(VolumeUnit::Teaspoon), 0.02);
        self::assertEqualsWithDelta(0.005, $held->fraction, 0.0001);
        self::assertFalse($held->fromMemory);
    }

    public function testAGallonWithoutOxygenateHoldsAlmostNone(): void
    {
        $held = WaterTolerance::shipped()->tolerated(0.0, Temperature::of(60, TemperatureUnit::Fahrenheit), Volume::of(1, VolumeUnit::Gallon));
        self::assertEqualsWithDelta(0.15, $held->water->in(VolumeUnit::Teaspoon), 0.002);
    }

    public function testHoldsMoreWithMoreEthanolAndMoreWarmth(): void
    {
        $table = WaterTolerance::shipped();
        $tank = Volume::of(1, VolumeUnit::Litre);
        for ($celsius = -20; $celsius <= 40; $celsius += 2) {
            for ($percent = 0; $percent < 15; ++$percent) {
                $here = $table->tolerated($percent / 100, Temperature::celsius($celsius), $tank)->water;
                self::assertTrue($table->tolerated(($percent + 1) / 100, Temperature::celsius($celsius), $tank)->water->isGreaterThan($here));
                if ($celsius < 40) {
                    self::assertTrue($table->tolerated($percent / 100, Temperature::celsius($celsius + 1), $tank)->water->isGreaterThan($here));
                }
            }
        }
    }

    public function testSaysWhereMemoryBegins(): void
    {
        $cold = WaterTolerance::shipped()->tolerated(0.10, Temperature::celsius(-5), Volume::of(1, VolumeUnit::Litre));
        self::assertTrue($cold->fromMemory);
        self::assertGreaterThan(0.2, $cold->halfWidth->over($cold->water));
    }

    public function testAPublishedPointIsOneWithinAQuarterOfADegreeAndAHalfOfATenthOfAPercent(): void
    {
        $fromMemory = static fn (float $percent, float $celsius): bool => WaterTolerance::shipped()->tolerated($percent / 100, Temperature::celsius($celsius), Volume::of(1, VolumeUnit::Litre))->fromMemory;
        self::assertSame([false, false, true, true], [$fromMemory(10, 15.37), $fromMemory(10, 15.83), $fromMemory(10, 15.34), $fromMemory(10, 15.86)]);
        self::assertSame([false, false, true, true], [$fromMemory(9.96, 15.6), $fromMemory(10.04, 15.6), $fromMemory(9.94, 15.6), $fromMemory(10.06, 15.6)]);
    }

    public function testMakesUpNoFigureBeyondItsTable(): void
    {
        foreach ([[0.151, 20.0], [-0.01, 20.0], [\NAN, 20.0], [0.1, -21.0], [0.1, 41.0]] as [$ethanol, $celsius]) {
            try {
                WaterTolerance::shipped()->tolerated($ethanol, Temperature::celsius($celsius), Volume::of(1, VolumeUnit::Litre));
                self::fail('It made one up.');
            } catch (ImpossibleAmount $refusal) {
                self::assertSame('amount.out_of_range', $refusal->reason());
            }
        }
    }
}
