<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * Tries everything, where there is little of it: operations in order of their starts, each as early as it can, in each of
 * its ways. What starts after another could have ended is no better than with that other before it (Giffler and Thompson
 * 1960); what cannot get better than the best is left.
 */
final class Exhaustive
{
    /** Operations that may be moved, and steps, up to which it is tried at all. */
    private const MOST_OPERATIONS = 12;
    private const MOST_STEPS = 40_000;

    private int $steps = 0;
    private bool $isCut = false;

    /** @var list<int> */
    private array $free;

    private function __construct(private readonly Instance $instance, private readonly Incumbent $incumbent)
    {
        $this->free = array_values(array_filter($instance->order, static fn (int $at): bool => null === $instance->pin[$at]));
    }

    /** @return bool whether everything was tried, so that nothing is worth less than the incumbent */
    public static function search(Builder $base, Incumbent $incumbent): bool
    {
        $instance = $base->instance;
        $search = new self($instance, $incumbent);
        // Where all does not fit, where a wait is bounded or where a cycle is shared, earlier is not always better.
        if (\count($search->free) > self::MOST_OPERATIONS || $instance->hasLags || $instance->hasBatches || 0 !== $incumbent->rank[0] || [] !== $instance->unplannable) {
            return false;
        }
        $search->from(clone $base, 0);
        $incumbent->steps->spend($search->steps);

        return !$search->isCut;
    }

    private function from(Builder $plan, int $last): void
    {
        if ($this->steps > self::MOST_STEPS || $this->incumbent->steps->areSpent()) {
            $this->isCut = true;

            return;
        }
        if ($this->bound($plan) >= $this->incumbent->rank[1]) {
            return;
        }
        $next = [];
        $soonest = Instance::NEVER;
        $isWhole = true;
        foreach ($this->free as $at) {
            if (Timetable::UNPLACED !== $plan->table->start[$at]) {
                continue;
            }
            $isWhole = false;
            foreach ($this->instance->before[$at] as $first) {
                if (Timetable::UNPLACED === $plan->table->start[$first]) {
                    continue 2;
                }
            }
            foreach (array_keys($this->instance->ways[$at]) as $way) {
                ++$this->steps;
                $tried = clone $plan->table;
                if ($tried->place($at, $plan->readyAt($at), $this->instance->latest[$at], $way)) {
                    $next[] = [$tried->start[$at], $at, $tried];
                    $soonest = min($soonest, $tried->end[$at]);
                }
            }
        }
        if ($isWhole) {
            $plan->touchAll();
            $this->incumbent->offer($plan, $plan->rank());

            return;
        }
        usort($next, static fn (array $one, array $other): int => [$one[0], $one[1]] <=> [$other[0], $other[1]]);
        foreach ($next as [$start, , $table]) {
            if ($start >= $last && $start < $soonest) {
                $tried = clone $plan;
                $tried->table = $table;
                $this->from($tried, $start);
            }
        }
    }

    /** What all that is not placed yet costs at least, were each alone. */
    private function bound(Builder $plan): int
    {
        $end = $late = [];
        $jobs = $this->instance->problem->jobs;
        foreach ($this->instance->order as $at) {
            $end[$at] = $plan->table->end[$at];
            if (Timetable::UNPLACED === $end[$at]) {
                $from = $this->instance->release[$at];
                foreach ($this->instance->before[$at] as $first) {
                    $from = max($from, $end[$first]);
                }
                $end[$at] = $this->instance->endFrom($at, $from);
            }
            $job = $this->instance->job[$at];
            $late[$job] = max($late[$job] ?? 0, $end[$at]);
        }
        if (Objective::Makespan === $this->instance->problem->objective) {
            return max([0, ...$late]);
        }
        $cost = 0;
        foreach ($late as $job => $last) {
            $cost += $jobs[$job]->weight * max(0, $last - ($jobs[$job]->due ?? Instance::NEVER));
        }

        return $cost;
    }
}
