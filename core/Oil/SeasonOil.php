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

    /** 0W-30, where the maker allows it: a 5W cranks no colder than J300 limits it. */
    case VeryCold = 'very_cold';

    /** None that is to be had: the engine is warmed before it is started. */
    case TooCold = 'too_cold';

    private const COLD_BELOW_CELSIUS = 5.0;

    /** The thinnest grade of what is named; null where none is. */
    public function winterGrade(): ?WinterGrade
    {
        return match ($this) {
            self::Warm => WinterGrade::W10,
            self::Cold => WinterGrade::W5,
            self::VeryCold => WinterGrade::W0,
            self::TooCold => null,
        };
    }

    /** @throws \AwakeShed\Core\Units\ImpossibleAmount unless −50 to 50 °C */
    public static function forStart(Temperature $coldest): self
    {
        (new Interval(-50.0, 50.0, TemperatureUnit::Celsius))->demand($coldest);

        return match (true) {
            $coldest->isLessThan(WinterGrade::W0->cranksTo()) => self::TooCold,
            $coldest->isLessThan(WinterGrade::W5->cranksTo()) => self::VeryCold,
            $coldest->in(TemperatureUnit::Celsius) < self::COLD_BELOW_CELSIUS => self::Cold,
            default => self::Warm,
        };
    }
}
