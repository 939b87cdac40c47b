<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Weather;

use AwakeShed\Core\Units\Temperature;

/**
 * A stand-in that ships with the shed: the weather of an invented northern lake, the same for the same moment.
 *
 * Source class: invented (demo only). A yearly and a daily swing, and a wander of a few degrees from day to day.
 */
final class SimulatedWeather implements Weather
{
    private const MEAN = 8.0;
    private const YEARLY_SWING = 14.0;
    private const DAILY_SWING = 5.0;
    private const WANDER = 3.0;

    /** Mean of a day below which snow lies, and above which grass grows, °C. */
    private const SNOW = 0.0;
    private const GRASS = 8.0;

    /** Day of the year of the greatest cold, and hour of the day. */
    private const COLDEST_DAY = 20;
    private const COLDEST_HOUR = 5;

    public function at(\DateTimeImmutable $moment): Temperature
    {
        $day = (int) $moment->format('z');
        $hour = (int) $moment->format('G') + (int) $moment->format('i') / 60;
        // A hash, so that a day's wander is fixed yet looks like no pattern.
        $wander = (crc32($moment->format('Y-m-d')) % 1000 / 500 - 1) * self::WANDER;

        return Temperature::celsius(round(
            self::MEAN
            - self::YEARLY_SWING * cos(2 * \M_PI * ($day - self::COLDEST_DAY) / 365)
            - self::DAILY_SWING * cos(2 * \M_PI * ($hour - self::COLDEST_HOUR) / 24)
            + $wander,
            1,
        ));
    }

    public function lowAfter(\DateTimeImmutable $moment): Temperature
    {
        $lowest = $this->at($moment);
        $noon = $moment->modify('tomorrow noon');
        for ($hour = $moment->modify('+1 hour'); $hour <= $noon; $hour = $hour->modify('+1 hour')) {
            $then = $this->at($hour);
            $lowest = $then->isLessThan($lowest) ? $then : $lowest;
        }

        return $lowest;
    }

    public function nextFirstSnow(\DateTimeImmutable $from): \DateTimeImmutable
    {
        return self::crossing($from, static fn (float $before, float $mean): bool => $before >= self::SNOW && $mean < self::SNOW);
    }

    public function nextSpring(\DateTimeImmutable $from): \DateTimeImmutable
    {
        return self::crossing($from, static fn (float $before, float $mean): bool => $before <= self::GRASS && $mean > self::GRASS);
    }

    /** @param \Closure(float, float): bool $is told the means of a day and the next */
    private static function crossing(\DateTimeImmutable $from, \Closure $is): \DateTimeImmutable
    {
        $day = $from->setTime(0, 0);
        for ($ahead = 0; $ahead < 366 && !$is(self::mean($day->modify('-1 day')), self::mean($day)); ++$ahead) {
            $day = $day->modify('+1 day');
        }

        return $day;
    }

    private static function mean(\DateTimeImmutable $day): float
    {
        return self::MEAN - self::YEARLY_SWING * cos(2 * \M_PI * ((int) $day->format('z') - self::COLDEST_DAY) / 365);
    }
}
