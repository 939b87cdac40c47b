<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** A plan that people already work by: what is moved in it, or given to others, has its price. */
final readonly class Former
{
    /** Weighted minutes that a change must bring to be worth telling people: ten of a promised job (invented). */
    public const PRICE = 100;

    /** A start that moves by less is no change to anybody. */
    public const SLACK = 15;

    /**
     * @param array<int, int> $start by operation
     * @param array<int, int> $way
     */
    public function __construct(private array $start, private array $way)
    {
    }

    public function price(Builder $plan): int
    {
        $changes = 0;
        foreach ($this->start as $at => $start) {
            $now = $plan->table->start[$at];
            if (Timetable::UNPLACED !== $now && ($plan->table->way[$at] !== $this->way[$at] || abs($now - $start) > self::SLACK)) {
                ++$changes;
            }
        }

        return self::PRICE * $changes;
    }
}
