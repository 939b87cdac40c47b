<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Oil;

use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\DilutionBand;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DilutionTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float, DilutionBand}> mark, drained, left in mL; fraction; band */
    public static function crankcases(): iterable
    {
        yield '350 over 550' => [550, 900, 0, 0.38888889, DilutionBand::ChangeFlushAndCure];
        yield 'what clings counts' => [550, 545, 30, 0.04347826, DilutionBand::Change];
        yield 'a spoonful' => [600, 605, 0, 0.00826446, DilutionBand::Watch];
        yield 'at the mark' => [600, 600, 0, 0.0, DilutionBand::Watch];
    }

    #[DataProvider('crankcases')]
    public function testFromWhatDrained(float $mark, float $drained, float $left, float $fraction, DilutionBand $band): void
    {
        $dilution = Dilution::drained(Volume::millilitres($mark), Volume::millilitres($drained), Volume::millilitres($left), Volume::millilitres(10));
        self::assertEqualsWithDelta($fraction, $dilution->fraction, 1e-8);
        self::assertSame($band, $dilution->band());
    }

    public function testByLevelAndByDrainingAgree(): void
    {
        $random = new Seeded(30);
        for ($case = 0; $case < 200; ++$case) {
            [$mark, $over, $perMillimetre] = [Volume::millilitres($random->float(300, 1400)), $random->float(0, 40), $random->float(2, 20)];
            $byLevel = Dilution::overMark($mark, Length::millimetres($over), Volume::millilitres($perMillimetre), Length::millimetres(1));
            $byDraining = Dilution::drained($mark, $mark->plus(Volume::millilitres($over * $perMillimetre)), Volume::zero(), Volume::millilitres($perMillimetre));
            self::assertEqualsWithDelta($byLevel->fraction, $byDraining->fraction, 1e-9);
            self::assertEqualsWithDelta($byLevel->halfWidth, $byDraining->halfWidth, 1e-9);
        }
    }

    public function testTheHalfWidthIsWhatTheErrorDoes(): void
    {
        $read = static fn (float $drained): float => Dilution::drained(Volume::millilitres(550), Volume::millilitres($drained), Volume::zero(), Volume::millilitres(10))->fraction;
        $dilution = Dilution::drained(Volume::millilitres(550), Volume::millilitres(700), Volume::zero(), Volume::millilitres(10));
        self::assertEqualsWithDelta(($read(710) - $read(690)) / 2, $dilution->halfWidth, 1e-4);
    }

    public function testWhereNobodyMeasuredItATenthClings(): void
    {
        $dilution = Dilution::drained(Volume::millilitres(600), Volume::millilitres(840), null, Volume::zero());
        self::assertEqualsWithDelta(0.33333333, $dilution->fraction, 1e-8);
        // Half of the tenth, 30 mL, times 600/900².
        self::assertEqualsWithDelta(0.02222222, $dilution->halfWidth, 1e-8);
    }

    public function testIsCleanOnlyWhereTheWholeIntervalIs(): void
    {
        $even = static fn (float $error): Dilution => Dilution::drained(Volume::millilitres(600), Volume::millilitres(560), Volume::millilitres(40), Volume::millilitres($error));
        self::assertTrue($even(5)->isClean());
        // 20 mL of gas would be 3 %: a change.
        self::assertFalse($even(20)->isClean());
        self::assertSame([0.0, 0.0], [$even(20)->fraction, $even(20)->least()]);
        self::assertEqualsWithDelta(0.033, $even(20)->most(), 0.001);
    }

    public function testLessThanTheMarkIsReckonedAndSaysNothingOfGasoline(): void
    {
        $low = Dilution::drained(Volume::millilitres(550), Volume::millilitres(400), Volume::zero(), Volume::millilitres(10));
        self::assertTrue($low->isBelowMark);
        self::assertFalse($low->isClean());
        self::assertSame(0.0, $low->fraction);
        self::assertEqualsWithDelta(400.0, $low->contents->inMillilitres(), 1e-9);
        // Within the reading error it is simply at the mark.
        self::assertFalse(Dilution::drained(Volume::millilitres(550), Volume::millilitres(545), Volume::zero(), Volume::millilitres(10))->isBelowMark);
    }

    public function testRefusesWhatNoCrankcaseHolds(): void
    {
        $this->expectException(ImpossibleAmount::class);
        Dilution::drained(Volume::millilitres(550), Volume::millilitres(-1), Volume::zero(), Volume::millilitres(10));
    }
}
