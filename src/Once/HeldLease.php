<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

/** A lease in hand. */
final readonly class HeldLease
{
    /** @param string $holder drawn anew for each taking, so that nobody gives back what is another's by now */
    public function __construct(public string $name, public string $holder, public int $seconds)
    {
    }
}
