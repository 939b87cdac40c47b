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

    /** How many rows the query has in all. */
    public function matching(ShedQuery $query): int
    {
        return match (true) {
            $query->handedBack => $this->handedBack,
            null !== $query->stand => $this->byStand[$query->stand->value],
            default => $this->inShed(),
        };
    }

    public function pages(ShedQuery $query): int
    {
        return max(1, (int) ceil($this->matching($query) / ShedQuery::PAGE));
    }
}
