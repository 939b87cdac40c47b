<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Fuel;

use AwakeShed\Core\Fuel\EngineLimit;
use AwakeShed\Core\Fuel\EthanolContent;
use AwakeShed\Core\Fuel\EthanolGrade;
use AwakeShed\Core\Fuel\EthanolWater;
use AwakeShed\Core\Fuel\ImpossibleWaterShift;
use AwakeShed\Core\Fuel\WaterShift;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WaterShiftTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float, float}> fuel, water, aqueous mL; naive, corrected % */
    public static function worked(): iterable
    {
        // Worked by hand from the OIML R 22 tables.
        yield '90 + 10' => [90, 10, 18.3, 9.2, 9.96];
        yield '80 + 20' => [80, 20, 27.7, 9.6, 10.57];
    }

    #[DataProvider('worked')]
    public function testCorrectsForTheContraction(float $fuel, float $water, float $aqueous, float $naive, float $corrected): void
    {
        $content = self::shift($fuel, $water, $aqueous)->content();
        self::assertEqualsWithDelta($naive, 100 * $content->naive, 0.05);
        self::assertEqualsWithDelta($corrected, 100 * $content->corrected, 0.01);
        // Half a millilitre in ninety or eighty is six or seven tenths of a per cent.
        self::assertEqualsWithDelta(0.63, 100 * $content->halfWidth, 0.07);
    }

    public function testFindsBackWhatWasMixed(): void
    {
        $random = new Seeded(7);
        for ($case = 0; $case < 300; ++$case) {
            $ethanol = $random->float(0.0, 1.0);
            $fuel = Volume::millilitres($random->float(10, 500));
            $water = Volume::millilitres($random->float(5, 500));
            $at = Temperature::celsius($random->float(0, 40));
            $aqueous = EthanolWater::mixed($fuel->times($ethanol), $water, $at);
            self::assertEqualsWithDelta($ethanol, WaterShift::read($fuel, $water, $aqueous, $at)->content()->corrected, 1e-6);
        }
    }

    public function testMoreLayerMeansMoreEthanolAndACoarserReadingAWiderAnswer(): void
    {
        $before = -1.0;
        for ($aqueous = 10.0; $aqueous <= 30.0; $aqueous += 0.5) {
            $now = self::shift(90, 10, $aqueous)->content()->corrected;
            self::assertGreaterThan($before, $now);
            $before = $now;
        }
        $coarse = WaterShift::read(Volume::millilitres(90), Volume::millilitres(10), Volume::millilitres(18), Temperature::celsius(20), Volume::millilitres(2));
        self::assertGreaterThan(self::shift(90, 10, 18)->content()->halfWidth, $coarse->content()->halfWidth);
    }

    public function testAReadingJustUnderTheWaterIsErrorNotNegativeEthanol(): void
    {
        self::assertSame(0.0, self::shift(90, 10, 9.8)->content()->corrected);
    }

    /** @return iterable<string, array{float, float, float, string}> */
    public static function impossible(): iterable
    {
        yield 'water vanished' => [90, 10, 9.0, 'water_shift.water_vanished'];
        yield 'more than was poured' => [90, 10, 101, 'water_shift.more_than_poured'];
        yield 'more than pure ethanol would make' => [50, 50, 99, 'water_shift.more_than_pure_ethanol'];
    }

    #[DataProvider('impossible')]
    public function testRefusesImpossibleReadingsWithTheReason(float $fuel, float $water, float $aqueous, string $reason): void
    {
        try {
            self::shift($fuel, $water, $aqueous);
            self::fail('It was taken.');
        } catch (ImpossibleWaterShift $refusal) {
            self::assertSame($reason, $refusal->reason());
            self::assertSame(round($aqueous, 1), $refusal->figures()['read']);
        }
    }

    public function testRefusesFreezingAndBoiling(): void
    {
        foreach ([-0.5, 40.5] as $celsius) {
            try {
                WaterShift::read(Volume::millilitres(90), Volume::millilitres(10), Volume::millilitres(18), Temperature::celsius($celsius));
                self::fail('It was taken.');
            } catch (ImpossibleAmount $refusal) {
                self::assertSame(['value' => $celsius, 'least' => 0.0, 'most' => 40.0, 'unit' => '°C'], $refusal->figures());
            }
        }
    }

    public function testAGradeIsNamedForTheMostItMayHold(): void
    {
        self::assertSame(['e0' => 0.0, 'e5' => 0.05, 'e10' => 0.1, 'e15' => 0.15, 'flex' => 1.0], array_column(array_map(static fn (EthanolGrade $grade): array => [$grade->value, $grade->mostEthanol()], EthanolGrade::cases()), 1, 0));
    }

    /** @return iterable<string, array{float, float, EthanolGrade, EngineLimit}> corrected and half-width in % */
    public static function grades(): iterable
    {
        yield 'ethanol-free' => [0.3, 0.6, EthanolGrade::E0, EngineLimit::Within];
        yield 'E5' => [5.2, 0.6, EthanolGrade::E5, EngineLimit::Within];
        yield 'E10 as read, not "over"' => [9.96, 0.6, EthanolGrade::E10, EngineLimit::CannotTell];
        yield 'still E10 with a coarse tube' => [12.0, 3.0, EthanolGrade::E10, EngineLimit::CannotTell];
        yield 'plainly over' => [14.0, 0.6, EthanolGrade::E15, EngineLimit::Over];
        yield 'flex fuel' => [60.0, 0.6, EthanolGrade::Flex, EngineLimit::Over];
    }

    #[DataProvider('grades')]
    public function testGradesWithItsUncertainty(float $percent, float $halfWidth, EthanolGrade $grade, EngineLimit $limit): void
    {
        $content = new EthanolContent($percent / 100, $percent / 100, $halfWidth / 100);
        self::assertSame($grade, $content->grade());
        self::assertSame($limit, $content->againstSmallEngineLimit());
    }

    private static function shift(float $fuel, float $water, float $aqueous): WaterShift
    {
        return WaterShift::read(Volume::millilitres($fuel), Volume::millilitres($water), Volume::millilitres($aqueous), Temperature::celsius(20));
    }
}
