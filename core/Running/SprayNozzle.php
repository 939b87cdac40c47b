<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\ImpossibleAmount;

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
     * @param float $gallonsPerMinute pump flow, 0.2 to 20 US gal/min
     * @param float $psi              working pressure, 100 to 10 000 psi
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function forPump(float $gallonsPerMinute, float $psi): self
    {
        ImpossibleAmount::unlessBetween($gallonsPerMinute, 0.2, 20.0, 'gal/min');
        ImpossibleAmount::unlessBetween($psi, 100.0, 10_000.0, 'psi');

        return new self($gallonsPerMinute * sqrt(self::REFERENCE_PSI / $psi));
    }
}
