<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\VolumeFlow;

/**
 * The size of a pressure washer's nozzle: the flow it passes at 4000 psi, in US gallons a minute, as the trade counts
 * it (published: flow through an orifice goes with the root of the pressure).
 */
final readonly class SprayNozzle
{
    private const REFERENCE_PSI = 4000.0;

    private function __construct(public float $size)
    {
    }

    /**
     * @param VolumeFlow $pump    0.2 to 20 US gal/min
     * @param Pressure   $working 100 to 10 000 psi
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function forPump(VolumeFlow $pump, Pressure $working): self
    {
        (new Interval(0.2, 20.0, FlowUnit::GallonPerMinute))->demand($pump);
        (new Interval(100.0, 10_000.0, PressureUnit::Psi))->demand($working);

        return new self($pump->in(FlowUnit::GallonPerMinute) * sqrt(self::REFERENCE_PSI / $working->inPsi()));
    }
}
