<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/** What is measured into fuel by the ratio on a label: two-stroke oil, or stabilizer (arithmetic). */
final readonly class Premix
{
    private function __construct()
    {
    }

    /**
     * @param Volume $fuel       10 mL to 200 L
     * @param float  $partsToOne fuel to oil, 10 to 200
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function oil(Volume $fuel, float $partsToOne): Volume
    {
        (new Interval(10.0, 200_000.0, VolumeUnit::Millilitre))->demand($fuel);
        ImpossibleAmount::unlessBetween($partsToOne, 10.0, 200.0, ': 1');

        return $fuel->times(1 / $partsToOne);
    }
}
