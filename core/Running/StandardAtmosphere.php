<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\ImpossibleAmount;

/** The International Standard Atmosphere below 11 km (published): p/p₀ = (1 − 2.25577·10⁻⁵·h)^5.25588, h in metres. */
final readonly class StandardAtmosphere
{
    private function __construct()
    {
    }

    /**
     * @param float $metres above sea level, −500 to 5000
     *
     * @return float air pressure as a share of that at sea level
     *
     * @throws ImpossibleAmount outside that
     */
    public static function pressureShare(float $metres): float
    {
        return self::base($metres) ** 5.25588;
    }

    /**
     * @param float $metres above sea level, −500 to 5000
     *
     * @return float air density as a share of that at sea level, the air being as cold as the standard has it
     *
     * @throws ImpossibleAmount outside that
     */
    public static function densityShare(float $metres): float
    {
        // Density is pressure over temperature, and temperature falls with the base itself.
        return self::base($metres) ** 4.25588;
    }

    private static function base(float $metres): float
    {
        ImpossibleAmount::unlessBetween($metres, -500.0, 5000.0, 'm');

        return 1 - 2.25577e-5 * $metres;
    }
}
