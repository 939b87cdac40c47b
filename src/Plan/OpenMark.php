<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

/** What people said of a piece of work that is not over, as the plan shows it ({@see Mark}). */
final readonly class OpenMark
{
    /** @param int|null $hands number of who is to do it, or does it; null: whoever is free */
    public function __construct(public ?int $hands, public bool $isPinned, public bool $isStarted, public string $reason)
    {
    }
}
