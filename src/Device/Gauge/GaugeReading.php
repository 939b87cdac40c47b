<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

/** One reading of a live gauge. */
final readonly class GaugeReading
{
    /**
     * @param float $seconds     since the gauge began
     * @param float $value       SI
     * @param bool  $isSimulated made up by a stand-in, which says so
     */
    public function __construct(public float $seconds, public float $value, public bool $isSimulated = false)
    {
    }
}
