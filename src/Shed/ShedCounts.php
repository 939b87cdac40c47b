<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

/** How many machines there are, by where they stand. */
final readonly class ShedCounts
{
    /** @param array<string, int> $byStand machines in the shed, by stand */
    public function __construct(public array $byStand, public int $handedBack)
    {
    }

    public function inShed(): int
    {
        return array_sum($this->byStand);
    }
}
