<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Units\ShaftSpeed;

/** One way to read what was heard. */
final readonly class HeardSpeed
{
    /**
     * @param ShaftSpeed $speed  on the average over the recording
     * @param Series     $speeds rad/s over time; empty for a machine that was not followed
     */
    public function __construct(public ShaftSpeed $speed, public Series $speeds)
    {
    }
}
