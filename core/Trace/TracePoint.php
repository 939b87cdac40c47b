<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

/** A point found on a trace. */
final readonly class TracePoint
{
    /**
     * @param float $time  s
     * @param float $value SI
     */
    public function __construct(public float $time, public float $value)
    {
    }
}
