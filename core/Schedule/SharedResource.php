<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** Hands, a lift, a bath, a run pad: what operations share. */
final readonly class SharedResource
{
    /**
     * @param int      $capacity units that may be used at once, 1 or more
     * @param int|null $cycle    minutes of a cycle of what runs batches; null where it runs none
     */
    public function __construct(public string $id, public bool $isPerson, public int $capacity, public Openings $openings, public ?int $cycle = null)
    {
    }

    /**
     * Minutes it is there and does nothing, between the first start and the last end.
     *
     * @param non-empty-list<array{int, int}> $worked
     */
    public function idleBeside(array $worked): int
    {
        $first = min(array_column($worked, 0));
        $last = max(array_column($worked, 1));

        return $this->openings->minutesBetween($first, $last) - $this->openings->and(Openings::of($worked))->minutesBetween($first, $last);
    }
}
