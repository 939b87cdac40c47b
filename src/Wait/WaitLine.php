<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

/** A wait as the bar at the top of every page shows it. */
final readonly class WaitLine
{
    public function __construct(public int $job, public WaitKind $kind, public \DateTimeImmutable $readyAt)
    {
    }

    public function isOver(\DateTimeImmutable $now): bool
    {
        return $now >= $this->readyAt;
    }
}
