<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

/** One reading of a live gauge. */
final readonly class GaugeReading
{
    /**
     * @param float $seconds since the gauge began
     * @param float $value   SI
     */
    public function __construct(public float $seconds, public float $value)
    {
    }
}
