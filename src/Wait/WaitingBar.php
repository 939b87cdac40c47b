<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

/** What waits, as of a moment. */
final readonly class WaitingBar
{
    /** @param list<WaitLine> $waits first ready first */
    public function __construct(public array $waits, public \DateTimeImmutable $now)
    {
    }
}
