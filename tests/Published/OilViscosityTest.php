<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Oil\GasolineBlend;
use AwakeShed\Core\Oil\ViscosityGrade;
use AwakeShed\Core\Oil\ViscosityLine;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Temperature;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** ASTM D341, ASTM D7152, the Refutas index and SAE J300 (published), in cases worked by hand from them. */
final class OilViscosityTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float, float}> oil, gasoline, fraction; Refutas, Walther; mm²/s */
    public static function blends(): iterable
    {
        yield '5 % at 40 °C' => [93, 0.55, 0.05, 56, 51];
        yield '10 % at 40 °C' => [93, 0.55, 0.10, 35.5, 30];
        yield '20 % at 40 °C' => [93, 0.55, 0.20, 16, 12.7];
        yield 'none' => [93, 0.55, 0.0, 93, 93];
    }

    #[DataProvider('blends')]
    public function testBlendsThinAsBothRulesSay(float $oil, float $gasoline, float $fraction, float $refutas, float $walther): void
    {
        $blend = GasolineBlend::blended(KinematicViscosity::centistokes($oil), KinematicViscosity::centistokes($gasoline), $fraction);
        self::assertEqualsWithDelta($refutas, $blend->viscosity->inCentistokes(), 0.35);
        self::assertEqualsWithDelta($walther, $blend->byWalther->inCentistokes(), 0.35);
    }

    public function testAtAHundredDegrees(): void
    {
        foreach ([[0.05, 7.9], [0.10, 6.0], [0.20, 3.6]] as [$fraction, $expected]) {
            $blend = GasolineBlend::blended(KinematicViscosity::centistokes(10.8), KinematicViscosity::centistokes(0.35), $fraction);
            self::assertEqualsWithDelta($expected, $blend->viscosity->inCentistokes(), 0.05);
        }
    }

    public function testMoreGasolineIsAlwaysThinnerAndTheTwoRulesStayInOrder(): void
    {
        $before = \INF;
        for ($percent = 0; $percent <= 100; ++$percent) {
            $blend = GasolineBlend::blended(KinematicViscosity::centistokes(93), KinematicViscosity::centistokes(0.55), $percent / 100);
            self::assertLessThan($before, $blend->viscosity->inCentistokes());
            self::assertLessThanOrEqual($blend->viscosity->inCentistokes() + 0.01, $blend->byWalther->inCentistokes());
            $before = $blend->viscosity->inCentistokes();
        }
        // Pure gasoline comes out as gasoline by both.
        $blend = GasolineBlend::blended(KinematicViscosity::centistokes(93), KinematicViscosity::centistokes(0.55), 1.0);
        self::assertEqualsWithDelta(0.55, $blend->viscosity->inCentistokes(), 0.001);
        self::assertEqualsWithDelta(0.55, $blend->byWalther->inCentistokes(), 0.005);
    }

    /** @return iterable<string, array{float, list<string>}> mm²/s at 100 °C, grades */
    public static function grades(): iterable
    {
        yield 'thinner than any grade of the table' => [3.6, []];
        yield 'the lower edge belongs to the grade' => [4.0, ['8']];
        yield 'two overlap' => [6.0, ['8', '12']];
        yield 'the upper edge does not' => [9.3, ['30']];
        yield 'a typical SAE 30' => [10.8, ['30']];
        yield 'with five per cent of gasoline' => [7.9, ['16', '20']];
        yield 'SAE 40' => [14.0, ['40']];
    }

    /** @param list<string> $grades */
    #[DataProvider('grades')]
    public function testGradesAsTheTableOverlaps(float $centistokes, array $grades): void
    {
        self::assertSame($grades, array_map(static fn (ViscosityGrade $grade): string => $grade->value, ViscosityGrade::passedBy(KinematicViscosity::centistokes($centistokes))));
    }

    public function testALineGoesThroughItsPointsAndFalls(): void
    {
        $line = self::sae30();
        self::assertEqualsWithDelta(93.0, $line->at(Temperature::celsius(40))->inCentistokes(), 1e-6);
        self::assertEqualsWithDelta(10.8, $line->at(Temperature::celsius(100))->inCentistokes(), 1e-6);
        $before = \INF;
        for ($celsius = -20; $celsius <= 140; $celsius += 5) {
            $now = $line->at(Temperature::celsius($celsius))->inCentistokes();
            self::assertLessThan($before, $now);
            $before = $now;
        }
    }

    public function testTheOrderOfThePointsMeansNothing(): void
    {
        $other = ViscosityLine::through(Temperature::celsius(100), KinematicViscosity::centistokes(10.8), Temperature::celsius(40), KinematicViscosity::centistokes(93));
        self::assertEqualsWithDelta(self::sae30()->at(Temperature::celsius(0))->inCentistokes(), $other->at(Temperature::celsius(0))->inCentistokes(), 1e-6);
    }

    public function testTheShortFormStopsWhereItStopsBeingTrue(): void
    {
        foreach ([
            static fn () => ViscosityLine::through(Temperature::celsius(40), KinematicViscosity::centistokes(1.5), Temperature::celsius(100), KinematicViscosity::centistokes(3)),
            static fn () => ViscosityLine::through(Temperature::celsius(40), KinematicViscosity::centistokes(5), Temperature::celsius(100), KinematicViscosity::centistokes(2.1))->at(Temperature::celsius(190)),
            static fn () => self::sae30()->at(Temperature::celsius(300)),
            static fn () => GasolineBlend::blended(KinematicViscosity::centistokes(93), KinematicViscosity::centistokes(50), 0.1),
            static fn () => GasolineBlend::blended(KinematicViscosity::centistokes(93), KinematicViscosity::centistokes(0.5), \NAN),
        ] as $beyond) {
            try {
                $beyond();
                self::fail('It was computed.');
            } catch (ImpossibleAmount $refusal) {
                self::assertSame('amount.out_of_range', $refusal->reason());
            }
        }
    }

    private static function sae30(): ViscosityLine
    {
        return ViscosityLine::through(Temperature::celsius(40), KinematicViscosity::centistokes(93), Temperature::celsius(100), KinematicViscosity::centistokes(10.8));
    }

    /**
     * Industrial oils of viscosity index 95: the grade's mid point at 40 °C, its viscosity at 100 °C by the index, and the
     * interval the table of ISO 3448 gives for 20 °C (published; all figures from memory).
     *
     * @return iterable<string, array{float, float, float, float}>
     */
    public static function industrialOils(): iterable
    {
        yield 'VG 32' => [32, 5.36, 76.9, 98.7];
        yield 'VG 46' => [46, 6.74, 120, 153];
        yield 'VG 68' => [68, 8.68, 193, 244];
        yield 'VG 100' => [100, 11.1, 303, 383];
    }

    #[DataProvider('industrialOils')]
    public function testTheLineMeetsAStandardsTableBeyondItsPoints(float $warm, float $hot, float $least, float $most): void
    {
        $line = ViscosityLine::through(Temperature::celsius(40), KinematicViscosity::centistokes($warm), Temperature::celsius(100), KinematicViscosity::centistokes($hot));
        // The interval is the grade's ± 10 % carried to 20 °C: the line of its mid point lies in its middle.
        self::assertEqualsWithDelta(($least + $most) / 2, $line->at(Temperature::celsius(20))->inCentistokes(), 0.03 * $most);
    }
}
