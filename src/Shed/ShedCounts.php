<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

/** How many machines there are, by where they stand. */
final readonly class ShedCounts
{
    /**
     * @param array<string, int>|null $byStand    machines in the shed, by stand; null where they are too many to be counted at a look
     * @param int|null                $handedBack the same of those that went home
     */
    public function __construct(public ?array $byStand, public ?int $handedBack)
    {
    }

    public function inShed(): ?int
    {
        return null === $this->byStand ? null : array_sum($this->byStand);
    }
}
