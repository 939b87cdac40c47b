<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Device;

use AwakeShed\App\Device\Weather\Weather;
use PHPUnit\Framework\TestCase;

/** What every weather must keep to, the stand-in and whatever replaces it. */
abstract class WeatherContract extends TestCase
{
    abstract protected function weather(): Weather;

    public function testTheLowIsNeverAboveNowAndBothAreEarthly(): void
    {
        for ($hour = 0; $hour < 24 * 60; $hour += 5) {
            $moment = (new \DateTimeImmutable('2026-01-01 00:00 UTC'))->modify("+$hour hours");
            $now = $this->weather()->at($moment);
            $low = $this->weather()->lowAfter($moment);
            self::assertFalse($low->isGreaterThan($now));
            self::assertGreaterThan(-60.0, $low->inCelsius());
            self::assertLessThan(60.0, $now->inCelsius());
        }
    }
}
