<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/**
 * How long water drops take to fall through a jar of gasoline.
 *
 * Stokes' law (published), v = Δρ·g·d²/(18 μ), for drops small enough to fall without stirring (Reynolds number
 * below about 0.3: up to some 90 µm here). Density difference 250 kg/m³ and viscosity 5·10⁻⁴ Pa·s are round figures
 * for gasoline and water at room temperature (from memory); the times are good to perhaps a third.
 */
final readonly class Settling
{
    /** Density difference and viscosity are from memory: a time is good to about a third. */
    public const ERROR = 1 / 3;

    private const DENSITY_DIFFERENCE = 250.0;
    private const VISCOSITY = 5e-4;
    private const STANDARD_GRAVITY = 9.80665;

    /** Drops a glance should find at the bottom: the first look (common practice). */
    private const COARSE_DROP_UM = 50.0;

    /** Drops worth waiting for; what is finer shows as haze and is judged as haze (common practice). */
    private const FINE_DROP_UM = 20.0;

    private function __construct()
    {
    }

    /** @return Duration for the coarse drops: worth a first look */
    public static function firstLook(Length $jar): Duration
    {
        return self::through($jar, Length::micrometres(self::COARSE_DROP_UM));
    }

    /** @return Duration for the finest drops worth waiting for: the reading counts from here */
    public static function fullWait(Length $jar): Duration
    {
        return self::through($jar, Length::micrometres(self::FINE_DROP_UM));
    }

    /**
     * @param Length $jar  height of fuel the drops fall through, 5 to 500 mm
     * @param Length $drop diameter, 1 to 90 µm
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when either is outside its interval
     */
    public static function through(Length $jar, Length $drop): Duration
    {
        (new Interval(5.0, 500.0, LengthUnit::Millimetre))->demand($jar);
        (new Interval(1.0, 90.0, LengthUnit::Micrometre))->demand($drop);
        $diameter = $drop->in(LengthUnit::Micrometre) * 1e-6;
        $speed = self::DENSITY_DIFFERENCE * self::STANDARD_GRAVITY * $diameter ** 2 / (18 * self::VISCOSITY);

        return Duration::seconds($jar->inMillimetres() * 1e-3 / $speed);
    }
}
