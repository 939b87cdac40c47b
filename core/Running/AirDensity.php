<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;

/** The density of air by height and warmth: ISA pressure (published) over absolute temperature. */
final readonly class AirDensity
{
    /** K, the standard's at sea level. */
    private const STANDARD = 288.15;

    private function __construct()
    {
    }

    /**
     * @param Length      $altitude −500 to 5000 m
     * @param Temperature $air      −50 to 60 °C
     *
     * @return float as a share of the standard's at sea level, 15 °C
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside its interval
     */
    public static function share(Length $altitude, Temperature $air): float
    {
        (new Interval(-50.0, 60.0, TemperatureUnit::Celsius))->demand($air);

        return StandardAtmosphere::pressureShare($altitude->in(LengthUnit::Metre)) * self::STANDARD / $air->in(TemperatureUnit::Kelvin);
    }
}
