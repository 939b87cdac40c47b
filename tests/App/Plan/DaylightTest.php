<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Plan;

use AwakeShed\App\Plan\Daylight;
use PHPUnit\Framework\TestCase;

/** Against PHP's own almanac (date_sun_info), which goes by the sun's place and not by its height alone. */
final class DaylightTest extends TestCase
{
    public function testADayIsAsLongAsInTheAlmanac(): void
    {
        foreach ([-65 => 25, -45 => 13, -20 => 6, 0 => 4, 30 => 8, 46 => 13, 65 => 25] as $latitude => $within) {
            foreach (range(1, 12) as $month) {
                foreach ([1, 11, 21] as $date) {
                    $day = new \DateTimeImmutable("2026-$month-$date 12:00 UTC");
                    [$from, $to] = Daylight::of($day, $latitude);
                    ['sunrise' => $sunrise, 'sunset' => $sunset] = date_sun_info($day->getTimestamp(), $latitude, 0.0);
                    self::assertIsInt($sunrise);
                    self::assertIsInt($sunset);
                    self::assertEqualsWithDelta(($sunset - $sunrise) / 60, $to - $from, $within, "$latitude degrees, $date.$month.");
                    self::assertSame(1440, $from + $to, 'evenly about noon');
                }
            }
        }
    }

    public function testTheSunMayNotRiseOrNotSet(): void
    {
        self::assertSame([720, 720], Daylight::of(new \DateTimeImmutable('2026-12-21'), 70.0));
        self::assertSame([0, 1440], Daylight::of(new \DateTimeImmutable('2026-06-21'), 70.0));
    }
}
