<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** A job with its promise. */
final readonly class PlanJob
{
    /**
     * @param int|null $due     minute it is promised for; null: never late
     * @param int      $weight  what a minute past it counts, 0 or more
     * @param int      $release earliest start of its operations
     */
    public function __construct(public string $id, public ?int $due = null, public int $weight = 1, public int $release = 0)
    {
    }
}
