<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Temperature;

/** An oil known at 40 and 100 °C with a share of gasoline in it: what it is worth as oil, warm, hot and at the start. */
final readonly class ThinnedOil
{
    /** A typical SAE 30, mm²/s at 40 and 100 °C (common practice). */
    public const TYPICAL_OIL = [93.0, 10.8];

    /** Gasoline, mm²/s at 40 and 100 °C (from memory; at 100 °C most of it would have boiled off: a comparison figure). */
    private const GASOLINE = [0.55, 0.35];

    private function __construct(
        /** At 40 °C. */
        public GasolineBlend $warm,
        /** At 100 °C, as if nothing boiled off. */
        public GasolineBlend $hot,
        private ViscosityLine $clean,
        private float $fraction,
    ) {
    }

    /**
     * @param KinematicViscosity $at40     the clean oil, 2 to 10⁶ mm²/s
     * @param KinematicViscosity $at100    the clean oil, 2 mm²/s up to what it is at 40 °C
     * @param float              $fraction gasoline by volume, 0 to 1
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function thinned(KinematicViscosity $at40, KinematicViscosity $at100, float $fraction): self
    {
        ImpossibleAmount::unlessBetween($at100->inCentistokes(), 2.0, $at40->inCentistokes(), 'mm²/s');

        return new self(
            GasolineBlend::blended($at40, KinematicViscosity::centistokes(self::GASOLINE[0]), $fraction),
            GasolineBlend::blended($at100, KinematicViscosity::centistokes(self::GASOLINE[1]), $fraction),
            ViscosityLine::through(Temperature::celsius(40), $at40, Temperature::celsius(100), $at100),
            $fraction,
        );
    }

    /** @throws ImpossibleAmount outside −60 to 200 °C, or where the oil is below 2 mm²/s */
    public function cleanAt(Temperature $start): KinematicViscosity
    {
        return $this->clean->at($start);
    }

    /**
     * The mixture where it is to be started: ASTM D341 through the blend's own two points (published).
     *
     * @return KinematicViscosity|null null where a point of it is too thin for the short form of D341
     *
     * @throws ImpossibleAmount outside −60 to 200 °C
     */
    public function at(Temperature $start): ?KinematicViscosity
    {
        if (0.0 === $this->fraction) {
            return $this->cleanAt($start);
        }
        try {
            $line = ViscosityLine::through(Temperature::celsius(40), $this->warm->viscosity, Temperature::celsius(100), $this->hot->viscosity);
        } catch (ImpossibleAmount) {
            return null;
        }

        return $line->at($start);
    }

    /** @return list<ViscosityGrade> the grades of SAE J300 it would pass for; none when it is thinner than any */
    public function behavesAs(): array
    {
        return ViscosityGrade::passedBy($this->hot->viscosity);
    }

    /** Thicker hot than the thickest grade of SAE J300. */
    public function isThickerThanAny(): bool
    {
        return ViscosityGrade::isThickerThanAny($this->hot->viscosity);
    }

    public function flammability(): Flammability
    {
        return $this->fraction > 0.0 ? Flammability::AsGasoline : Flammability::AsOil;
    }
}
