<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

/** Somebody whose work the plan shows, read off their row. */
final readonly class Hand
{
    public function __construct(public int $id, public string $name, public bool $isActive)
    {
    }
}
