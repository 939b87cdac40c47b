<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Device;

use AwakeShed\App\Device\Weather\SimulatedWeather;
use AwakeShed\App\Device\Weather\Weather;

final class SimulatedWeatherTest extends WeatherContract
{
    protected function weather(): Weather
    {
        return new SimulatedWeather();
    }

    public function testTheSameMomentHasTheSameWeatherAndJulyIsWarmerThanJanuary(): void
    {
        $july = new \DateTimeImmutable('2026-07-20 14:00 UTC');
        self::assertEquals($this->weather()->at($july), $this->weather()->at($july));
        self::assertTrue($this->weather()->at($july)->isGreaterThan($this->weather()->at(new \DateTimeImmutable('2026-01-20 14:00 UTC'))));
    }
}
