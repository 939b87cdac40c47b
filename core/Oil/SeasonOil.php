<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;

/** Which oil for the coldest start of the season (common practice; the maker's chart comes first). */
enum SeasonOil: string
{
    /** 10W-30, or straight 30. */
    case Warm = 'warm';

    /** 5W-30. */
    case Cold = 'cold';

    private const COLD_BELOW_CELSIUS = 5.0;

    /** @throws \AwakeShed\Core\Units\ImpossibleAmount unless −50 to 50 °C */
    public static function forStart(Temperature $coldest): self
    {
        (new Interval(-50.0, 50.0, TemperatureUnit::Celsius))->demand($coldest);

        return $coldest->in(TemperatureUnit::Celsius) < self::COLD_BELOW_CELSIUS ? self::Cold : self::Warm;
    }
}
