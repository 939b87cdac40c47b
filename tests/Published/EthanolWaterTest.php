<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Fuel\EthanolWater;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EthanolWaterTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float}> mass fraction, °C, kg/m³, tolerance */
    public static function densities(): iterable
    {
        // OIML R 22 (1975), the Recommendation's own tables (published), to the last digit printed.
        yield 'OIML R 22, water' => [0.0, 20.0, 998.20, 0.005];
        yield 'OIML R 22, half by mass' => [0.5, 20.0, 913.77, 0.005];
        yield 'OIML R 22, pure ethanol' => [1.0, 20.0, 789.24, 0.005];
        // Density of water as every handbook gives it (published), kg/m³; the 1975 formula rests on older water.
        foreach ([0 => 999.84, 10 => 999.70, 25 => 997.04, 40 => 992.22] as $celsius => $density) {
            yield "water at $celsius °C" => [0.0, (float) $celsius, $density, 0.02];
        }
        // Handbook table of ethanol–water densities at 20 °C by mass per cent (from memory of the published table). It
        // goes back to other measurements than the Recommendation, hence 0.15 kg/m³.
        foreach ([10 => 981.87, 20 => 968.64, 30 => 953.82, 40 => 935.18, 60 => 891.13, 70 => 867.66, 80 => 843.44, 90 => 817.97, 100 => 789.34] as $percent => $density) {
            yield "handbook, $percent % at 20 °C" => [$percent / 100, 20.0, $density, 0.15];
        }
    }

    #[DataProvider('densities')]
    public function testDensityAgreesWithTheTables(float $massFraction, float $celsius, float $density, float $tolerance): void
    {
        self::assertEqualsWithDelta($density, EthanolWater::density($massFraction, Temperature::celsius($celsius)), $tolerance);
    }

    public function testFiftyAndFiftyMakeNinetySixAndAHalf(): void
    {
        // A demonstration of every chemistry course: 50 mL + 50 mL at 20 °C make about 96.5 mL.
        self::assertEqualsWithDelta(96.46, EthanolWater::mixed(Volume::millilitres(50), Volume::millilitres(50), Temperature::celsius(20))->inMillilitres(), 0.005);
        self::assertEqualsWithDelta(18.33, EthanolWater::mixed(Volume::millilitres(9), Volume::millilitres(10), Temperature::celsius(20))->inMillilitres(), 0.005);
    }

    public function testMixingNeverMakesMoreThanWasPoured(): void
    {
        foreach (range(1, 99) as $ethanol) {
            foreach ([0, 20, 40] as $celsius) {
                $mixed = EthanolWater::mixed(Volume::millilitres($ethanol), Volume::millilitres(100 - $ethanol), Temperature::celsius($celsius));
                self::assertLessThan(100.0, $mixed->inMillilitres());
                self::assertGreaterThan(96.0, $mixed->inMillilitres());
            }
        }
    }

    public function testNoMixtureHoldsLessThanNothingOrMoreThanAll(): void
    {
        foreach ([-0.01, 1.01, \NAN] as $share) {
            try {
                EthanolWater::density($share, Temperature::celsius(20));
                self::fail("A share of $share was taken.");
            } catch (\LogicException $refusal) {
                self::assertStringContainsString('mass fraction', $refusal->getMessage());
            }
        }
    }

    public function testNothingMakesNothing(): void
    {
        self::assertSame(0.0, EthanolWater::mixed(Volume::zero(), Volume::zero(), Temperature::celsius(20))->inMillilitres());
    }

    public function testStopsWhereTheRecommendationStops(): void
    {
        $this->expectException(ImpossibleAmount::class);
        EthanolWater::density(0.1, Temperature::celsius(41));
    }
}
