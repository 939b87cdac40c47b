<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** An operation where it stands in a plan. */
final readonly class Placed
{
    /**
     * @param int $end minute at which it has ended
     * @param int $way which of the operation's ways is taken
     */
    public function __construct(public Operation $operation, public int $start, public int $end, public int $way)
    {
    }

    /** @return list<array{string, int}> resources with the units taken of each */
    public function uses(): array
    {
        return $this->operation->ways()[$this->way];
    }

    public function takes(string $resource): bool
    {
        return \in_array($resource, array_column($this->uses(), 0), true);
    }
}
