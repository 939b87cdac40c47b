<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * What no plan can be better than: the longest way of each job, the load of what does one thing at a time with work that
 * may be broken off (Jackson's pre-emptive schedule), the load of a pool of people and of a bath; for lateness the shortest
 * work first (Chu 1992).
 */
final readonly class LowerBound
{
    private function __construct(private Instance $instance)
    {
    }

    public static function of(Instance $instance): int
    {
        $bound = new self($instance);

        return Objective::Makespan === $instance->problem->objective ? $bound->makespan() : $bound->tardiness();
    }

    private function makespan(): int
    {
        $bound = 0;
        foreach ($this->instance->order as $at) {
            $bound = max($bound, $this->instance->earliestEnd[$at] + $this->instance->tail[$at]);
        }
        foreach ($this->instance->problem->resources as $at => $resource) {
            $bound = max($bound, match (true) {
                null !== $resource->cycle => $this->cycles($at, $resource, $resource->cycle),
                1 === $resource->capacity => $this->broken($this->always($at), $resource->openings),
                default => $this->shared($at, $resource),
            });
        }

        return max($bound, $this->people());
    }

    private function tardiness(): int
    {
        $late = [];
        $jobs = $this->instance->problem->jobs;
        foreach ($this->instance->ofJob as $job => $own) {
            $late[$job] = 0;
            foreach ($this->instance->isWhole[$job] ? $own : [] as $at) {
                $late[$job] = max($late[$job], $jobs[$job]->weight * max(0, $this->instance->earliestEnd[$at] + $this->instance->tail[$at] - ($jobs[$job]->due ?? Instance::NEVER)));
            }
        }
        $bound = array_sum($late);
        foreach ($this->instance->problem->resources as $at => $resource) {
            if (1 === $resource->capacity && null === $resource->cycle) {
                $bound = max($bound, $this->shortestFirst($this->always($at), $resource->openings, $late));
            }
        }

        return $bound;
    }

    /** @return list<int> operations that take a resource whichever way is gone, and belong to jobs that can be whole or all the same count for the end */
    private function always(int $resource): array
    {
        return array_values(array_filter($this->instance->order, fn (int $at): bool => $this->units($at, $resource) > 0));
    }

    /** Units taken of a resource whichever way is gone. */
    private function units(int $at, int $resource): int
    {
        $least = \PHP_INT_MAX;
        foreach ($this->instance->ways[$at] as $uses) {
            $units = 0;
            foreach ($uses as [$taken, $one]) {
                $units += $taken === $resource ? $one : 0;
            }
            $least = min($least, $units);
        }

        return $least;
    }

    /**
     * The end of all, were the operations the only ones and could each be broken off for one with a longer tail.
     *
     * @param list<int> $own
     */
    private function broken(array $own, Openings $open): int
    {
        $bound = 0;
        /** @var \SplMinHeap<array{int, int}> $waiting the most urgent first */
        $waiting = new \SplMinHeap();
        $left = [];
        foreach ($own as $at) {
            $left[$at] = $this->instance->minutes[$at];
        }
        usort($own, fn (int $one, int $other): int => $this->instance->ready[$one] <=> $this->instance->ready[$other]);
        $now = 0;
        $place = 0;
        while (isset($own[$place]) || !$waiting->isEmpty()) {
            if ($waiting->isEmpty()) {
                $now = max($now, $this->instance->ready[$own[$place]]);
            }
            while (isset($own[$place]) && $this->instance->ready[$own[$place]] <= $now) {
                $waiting->insert([-$this->instance->tail[$own[$place]], $own[$place]]);
                ++$place;
            }
            [, $at] = $waiting->top();
            $end = $open->endOf($open->firstStart($now, 1, true) ?? $now, $left[$at], true) ?? $now + $left[$at];
            $next = isset($own[$place]) ? $this->instance->ready[$own[$place]] : Instance::NEVER;
            if ($end <= $next) {
                $waiting->extract();
                $bound = max($bound, $end + $this->instance->tail[$at]);
                $now = $end;
            } else {
                $left[$at] -= $open->minutesBetween($now, $next);
                $now = $next;
            }
        }

        return $bound;
    }

    /**
     * Lateness in all, were each job one piece on this resource and could be broken off for a shorter one: the soonest
     * ends against the soonest promises, at the least weight; other jobs as late as they are alone.
     *
     * @param list<int>  $own
     * @param array<int> $late by job, alone in the shop
     */
    private function shortestFirst(array $own, Openings $open, array $late): int
    {
        $work = $ready = $tail = [];
        foreach ($own as $at) {
            $job = $this->instance->job[$at];
            if ($this->instance->isWhole[$job]) {
                $work[$job] = ($work[$job] ?? 0) + $this->instance->minutes[$at];
                $ready[$job] = min($ready[$job] ?? Instance::NEVER, $this->instance->ready[$at]);
                $tail[$job] = min($tail[$job] ?? Instance::NEVER, $this->instance->tail[$at]);
            }
        }
        if ([] === $work) {
            return 0;
        }
        $jobs = $this->instance->problem->jobs;
        $due = [];
        foreach (array_keys($work) as $job) {
            $due[] = null === $jobs[$job]->due ? Instance::NEVER : $jobs[$job]->due - $tail[$job];
        }
        sort($due);
        asort($ready);
        $order = array_keys($ready);
        /** @var \SplMinHeap<array{int, int}> $waiting the most urgent first */
        $waiting = new \SplMinHeap();
        $now = $place = $ended = $lateness = 0;
        while (isset($order[$place]) || !$waiting->isEmpty()) {
            if ($waiting->isEmpty()) {
                $now = max($now, $ready[$order[$place]]);
            }
            while (isset($order[$place]) && $ready[$order[$place]] <= $now) {
                $waiting->insert([$work[$order[$place]], $order[$place]]);
                ++$place;
            }
            [, $job] = $waiting->extract();
            $end = $open->endOf($open->firstStart($now, 1, true) ?? $now, $work[$job], true) ?? $now + $work[$job];
            $next = isset($order[$place]) ? $ready[$order[$place]] : Instance::NEVER;
            if ($end <= $next) {
                $lateness += max(0, $end - $due[$ended++]);
                $now = $end;
            } else {
                $work[$job] -= $open->minutesBetween($now, $next);
                $now = $next;
                $waiting->insert([$work[$job], $job]);
            }
        }
        $weight = min(array_map(static fn (int $job): int => $jobs[$job]->weight, array_keys($work)));

        return $weight * $lateness + array_sum(array_diff_key($late, $work));
    }

    /** The end of what takes some of a resource, were it shared out evenly. */
    private function shared(int $resource, SharedResource $several): int
    {
        $load = array_sum(array_map(fn (int $at): int => $this->instance->minutes[$at] * $this->units($at, $resource), $this->always($resource)));

        return self::worked($several->openings, (int) ceil($load / $several->capacity));
    }

    /** The end of the last cycle a bath must run for what goes into it. */
    private function cycles(int $resource, SharedResource $bath, int $minutes): int
    {
        $units = [];
        foreach ($this->instance->takers[$resource] as $at) {
            foreach (isset($this->instance->unplannable[$at]) ? [] : $this->instance->batches[$at] as [$taken, $one]) {
                $key = $this->instance->key[$at] ?? '';
                $units[$key] = ($units[$key] ?? 0) + ($taken === $resource ? $one : 0);
            }
        }
        $cycles = array_sum(array_map(static fn (int $one): int => (int) ceil($one / $bath->capacity), $units));

        return self::worked($bath->openings, $cycles * $minutes);
    }

    /** The end of the work of all people together, were it shared out evenly. */
    private function people(): int
    {
        $people = array_filter($this->instance->problem->resources, static fn (SharedResource $one): bool => $one->isPerson);
        $load = 0;
        foreach ($this->instance->order as $at) {
            $least = \PHP_INT_MAX;
            foreach ($this->instance->ways[$at] as $uses) {
                $least = min($least, array_sum(array_map(static fn (array $one): int => isset($people[$one[0]]) ? $one[1] : 0, $uses)));
            }
            $load += $least * $this->instance->minutes[$at];
        }
        if (0 === $load) {
            return 0;
        }
        $low = 0;
        $high = 1;
        $done = static fn (int $end): bool => array_sum(array_map(static fn (SharedResource $one): int => $one->capacity * $one->openings->minutesBetween(0, $end), $people)) >= $load;
        while (!$done($high)) {
            $high *= 2;
            if ($high > Document::MOST) {
                return 0;
            }
        }
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($done($middle)) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }

    private static function worked(Openings $open, int $minutes): int
    {
        $start = 0 === $minutes ? null : $open->firstStart(0, $minutes, true);

        return null === $start ? 0 : $open->endOf($start, $minutes, true) ?? 0;
    }
}
