<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/** Stabilizer by the rate on its label: so much for so much fuel (arithmetic). */
final readonly class Stabilizer
{
    private function __construct()
    {
    }

    /**
     * @param Volume $fuel      10 mL to 200 L
     * @param Volume $labelDose 0.1 mL to 1 L
     * @param Volume $labelFuel what that is for, 100 mL to 200 L
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside its interval
     */
    public static function dose(Volume $fuel, Volume $labelDose, Volume $labelFuel): Volume
    {
        (new Interval(10.0, 200_000.0, VolumeUnit::Millilitre))->demand($fuel);
        (new Interval(0.1, 1_000.0, VolumeUnit::Millilitre))->demand($labelDose);
        (new Interval(100.0, 200_000.0, VolumeUnit::Millilitre))->demand($labelFuel);

        return $labelDose->times($fuel->over($labelFuel));
    }
}
