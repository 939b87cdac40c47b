<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\ViscosityUnit;

/**
 * The viscosity of oil with gasoline in it, both at one temperature.
 *
 * Two published blending rules, whose difference is carried as the model's own uncertainty: the Refutas index
 * (weighted by mass), which is shown, and the Walther function weighted by volume as in ASTM D7152, which gives less.
 */
final readonly class GasolineBlend
{
    /** kg/m³; round figures of the trade (common practice). */
    private const DENSITY_GASOLINE = 745.0;
    private const DENSITY_OIL = 875.0;

    private function __construct(
        /** By the Refutas index. */
        public KinematicViscosity $viscosity,
        /** By the Walther function. */
        public KinematicViscosity $byWalther,
    ) {
    }

    /**
     * @param KinematicViscosity $oil      2 to 10⁶ mm²/s
     * @param KinematicViscosity $gasoline 0.2 to 2 mm²/s
     * @param float              $fraction gasoline by volume, 0 to 1
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function blended(KinematicViscosity $oil, KinematicViscosity $gasoline, float $fraction): self
    {
        (new Interval(2.0, 1e6, ViscosityUnit::Centistokes))->demand($oil);
        (new Interval(0.2, 2.0, ViscosityUnit::Centistokes))->demand($gasoline);
        if (!($fraction >= 0.0 && $fraction <= 1.0)) {
            throw ImpossibleAmount::outside(100 * $fraction, 0.0, 100.0, '%');
        }
        $massGasoline = $fraction * self::DENSITY_GASOLINE;
        $byMass = $massGasoline / ($massGasoline + (1 - $fraction) * self::DENSITY_OIL);
        $index = (1 - $byMass) * self::refutas($oil->inCentistokes()) + $byMass * self::refutas($gasoline->inCentistokes());
        $walther = (1 - $fraction) * self::walther($oil->inCentistokes()) + $fraction * self::walther($gasoline->inCentistokes());

        return new self(
            KinematicViscosity::centistokes(exp(exp(($index - 10.975) / 14.534)) - 0.8),
            KinematicViscosity::centistokes(self::fromWalther($walther)),
        );
    }

    private static function refutas(float $centistokes): float
    {
        return 14.534 * log(log($centistokes + 0.8)) + 10.975;
    }

    /** With D341's term for thin liquids, without which gasoline would be out of its range. */
    private static function walther(float $centistokes): float
    {
        return log10(log10($centistokes + 0.7 + exp(-1.47 - 1.84 * $centistokes - 0.51 * $centistokes ** 2)));
    }

    /** ASTM D341's own inverse, with the same term for thin liquids. */
    private static function fromWalther(float $ordinate): float
    {
        $z = 10 ** (10 ** $ordinate) - 0.7;

        return $z - exp(-0.7487 - 3.295 * $z + 0.6119 * $z ** 2 - 0.3193 * $z ** 3);
    }
}
