<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** The best plan so far, and how much searching is left. */
final class Incumbent
{
    public Builder $best;

    /** @var array{int, int, int, int} weight left out, value, makespan, idle minutes; less is better */
    public array $rank;

    /** @param Former|null $former a plan that is not to be changed for little */
    public function __construct(Builder $first, public readonly Steps $steps, private readonly ?Former $former = null)
    {
        $this->best = clone $first;
        $this->rank = [...$first->rank(), self::idle($first)];
    }

    /** @param array{int, int, int} $rank of a plan that may be better */
    public function offer(Builder $plan, array $rank): bool
    {
        if (null !== $this->former) {
            $rank[1] += $this->former->price($plan);
        }
        if ($rank > [$this->rank[0], $this->rank[1], $this->rank[2]]) {
            return false;
        }
        $full = [...$rank, self::idle($plan)];
        if ($full >= $this->rank) {
            return false;
        }
        $this->rank = $full;
        $this->best = clone $plan;

        return true;
    }

    private static function idle(Builder $plan): int
    {
        return Objective::Makespan === $plan->instance->problem->objective ? 0 : $plan->idle();
    }
}
