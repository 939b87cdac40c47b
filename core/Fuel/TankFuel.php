<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/** The fuel that the jar speaks for: how much of it is in the tank, how warm it is, and how cold the night will be. */
final readonly class TankFuel
{
    private function __construct(public Volume $volume, public Temperature $now, public Temperature $tonight)
    {
    }

    /**
     * @param Volume $volume 1 mL to 200 L
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside its interval; temperatures go from −20 to +40 °C
     */
    public static function inTank(Volume $volume, Temperature $now, Temperature $tonight): self
    {
        (new Interval(1.0, 200_000.0, VolumeUnit::Millilitre))->demand($volume);
        $weather = new Interval(-20.0, 40.0, TemperatureUnit::Celsius);
        $weather->demand($now);
        $weather->demand($tonight);

        return new self($volume, $now, $tonight);
    }
}
