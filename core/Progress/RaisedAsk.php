<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

/** An ask that a machine's state raises. */
final readonly class RaisedAsk
{
    /** @param int $since the place among the events of what raised it; -1 where the bench says it */
    public function __construct(public Ask $ask, public int $since)
    {
    }
}
