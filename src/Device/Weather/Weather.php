<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Weather;

use AwakeShed\Core\Units\Temperature;

/** What is known of the air outside the shed; a weather service or a thermometer on the wall could stand behind it. */
interface Weather
{
    /** @return Temperature outdoors at that moment */
    public function at(\DateTimeImmutable $moment): Temperature;

    /** @return Temperature the lowest until noon of the next day; never above what it is now */
    public function lowAfter(\DateTimeImmutable $moment): Temperature;

    /** @return \DateTimeImmutable the day from a moment on at which, by the climate, snow first lies */
    public function nextFirstSnow(\DateTimeImmutable $from): \DateTimeImmutable;

    /** @return \DateTimeImmutable the day from a moment on at which, by the climate, grass begins to grow */
    public function nextSpring(\DateTimeImmutable $from): \DateTimeImmutable;
}
