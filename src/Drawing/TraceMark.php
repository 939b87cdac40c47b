<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\Core\Trace\TracePoint;

/** A found point on a drawn trace. */
final readonly class TraceMark
{
    /** @param string $what an id of translations/calc */
    public function __construct(public string $what, public float $x, public float $level, public TracePoint $point)
    {
    }
}
