<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Oil;

use AwakeShed\Core\Oil\Flammability;
use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Oil\SeasonOil;
use AwakeShed\Core\Oil\ThinnedOil;
use AwakeShed\Core\Oil\ViscosityGrade;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\Core\Refuses;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

final class ThinnedOilTest extends TestCase
{
    use Refuses;

    public function testATypicalOilWithATenthOfGasoline(): void
    {
        $oil = self::oil(0.10);
        self::assertEqualsWithDelta(35.5, $oil->warm->viscosity->inCentistokes(), 0.5);
        self::assertEqualsWithDelta(6.0, $oil->hot->viscosity->inCentistokes(), 0.1);
        self::assertSame([ViscosityGrade::Sae8, ViscosityGrade::Sae12], $oil->behavesAs());
        self::assertSame(Flammability::AsGasoline, $oil->flammability());
    }

    public function testCleanOilIsItself(): void
    {
        $oil = self::oil(0.0);
        self::assertSame(Flammability::AsOil, $oil->flammability());
        self::assertSame([ViscosityGrade::Sae30], $oil->behavesAs());
        self::assertEqualsWithDelta($oil->cleanAt(Temperature::celsius(0))->inCentistokes(), $oil->at(Temperature::celsius(0))?->inCentistokes(), 1e-9);
    }

    public function testMoreGasolineIsAlwaysThinnerWarmHotAndCold(): void
    {
        $random = new Seeded(3);
        for ($case = 0; $case < 100; ++$case) {
            $some = $random->float(0.001, 0.2);
            $more = $some + $random->float(0.001, 0.2);
            $cold = Temperature::celsius($random->float(-20, 30));
            self::assertLessThan(self::oil($some)->warm->viscosity->inCentistokes(), self::oil($more)->warm->viscosity->inCentistokes());
            self::assertLessThan(self::oil($some)->hot->viscosity->inCentistokes(), self::oil($more)->hot->viscosity->inCentistokes());
            $thin = self::oil($more)->at($cold);
            if (null !== $thin) {
                self::assertLessThan(self::oil($some)->at($cold)?->inCentistokes(), $thin->inCentistokes());
            }
        }
    }

    public function testSaysNothingAtTheStartWhereItsLawEnds(): void
    {
        // Two fifths gasoline is below 2 mm²/s at 100 °C, where the short form of D341 stops.
        self::assertNull(self::oil(0.4)->at(Temperature::celsius(0)));
        self::assertSame([], self::oil(0.4)->behavesAs());
    }

    public function testRefusesAnOilThickerHotThanWarm(): void
    {
        self::assertRefused(
            static fn () => ThinnedOil::thinned(KinematicViscosity::centistokes(20), KinematicViscosity::centistokes(30), 0.1),
            static fn () => ThinnedOil::thinned(KinematicViscosity::centistokes(93), KinematicViscosity::centistokes(10.8), 1.5),
        );
    }

    public function testWhatClingsIsWhatTheRefillDidNotNeed(): void
    {
        self::assertEqualsWithDelta(0.08, FlushPlan::leftShare(Volume::millilitres(600), Volume::millilitres(552)), 1e-9);
        self::assertRefused(static fn () => FlushPlan::leftShare(Volume::millilitres(600), Volume::millilitres(700)));
        $plan = FlushPlan::reach(0.4, 0.3, 0.02, 1.0, Volume::millilitres(600));
        self::assertSame(3, $plan->changes);
        self::assertEqualsWithDelta(90, $plan->time(Duration::of(30, DurationUnit::Minute))->in(DurationUnit::Minute), 1e-9);
    }

    public function testTheSeasonsOilTurnsAtFiveDegrees(): void
    {
        self::assertSame(SeasonOil::Warm, SeasonOil::forStart(Temperature::celsius(5)));
        self::assertSame(SeasonOil::Cold, SeasonOil::forStart(Temperature::celsius(4.9)));
        self::assertRefused(static fn () => SeasonOil::forStart(Temperature::celsius(80)));
    }

    private static function oil(float $fraction): ThinnedOil
    {
        return ThinnedOil::thinned(KinematicViscosity::centistokes(93), KinematicViscosity::centistokes(10.8), $fraction);
    }
}
