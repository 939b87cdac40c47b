<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

/** When there is light to work outdoors by. */
final readonly class Daylight
{
    private const NOON = 720;
    private const MINUTES_A_DEGREE = 4;

    /** The sun counts as up when its middle is this far below the horizon, degrees (published: the common definition of sunrise). */
    private const BELOW = -0.833;

    private function __construct()
    {
    }

    /**
     * From the sun's height alone, its noon taken for that of the clock: right to half an hour, which is what a plan needs.
     *
     * @param float $latitude degrees north, -65 to 65
     *
     * @return array{int, int} minutes since midnight
     */
    public static function of(\DateTimeImmutable $day, float $latitude): array
    {
        // The sun's declination (published: Cooper 1969).
        $declination = deg2rad(23.45 * sin(2 * \M_PI * (284 + (int) $day->format('z') + 1) / 365));
        $cosine = (sin(deg2rad(self::BELOW)) - sin(deg2rad($latitude)) * sin($declination)) / (cos(deg2rad($latitude)) * cos($declination));
        $half = (int) round(rad2deg(acos(max(-1.0, min(1.0, $cosine)))) * self::MINUTES_A_DEGREE);

        return [self::NOON - $half, self::NOON + $half];
    }
}
