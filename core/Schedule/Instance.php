<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * A problem with places instead of ids, as the search works on it, and what follows from it whatever the plan: which
 * operations cannot be planned at all, the earliest each can end, and the latest where a pin waits for it.
 *
 * @phpstan-type Uses list<array{int, int}>
 */
final class Instance
{
    public const NEVER = \PHP_INT_MAX >> 1;

    public readonly int $count;

    /** @var array<int> by operation */
    public array $minutes = [];

    /** @var array<int> by operation */
    public array $job = [];

    /** @var array<int> by operation, the release of its job */
    public array $release = [];

    /** @var array<int> by operation, the least wait that is too long less one; NEVER: any wait will do */
    public array $lag = [];

    /** @var array<int|null> by operation */
    public array $pin = [];

    /** @var array<bool> by operation */
    public array $splits = [];

    /** @var array<string|null> by operation */
    public array $key = [];

    /** @var array<list<int>> by operation */
    public array $before = [];

    /** @var array<list<int>> by operation */
    public array $next = [];

    /** @var array<array<int, Uses>> by operation and way: those in which it has room at all, without what runs batches */
    public array $ways = [];

    /** @var array<Uses> by operation: what runs batches */
    public array $batches = [];

    /** @var array<array<int, Openings>> by operation and way */
    public array $open = [];

    /** @var array<list<int>> by job, its operations in an order in which they can be done */
    public array $ofJob = [];

    /** @var array<int, WhyNot> by operation that cannot be planned */
    public array $unplannable = [];

    /** @var array<int> the others, each after what it waits for */
    public array $order = [];

    /** @var array<int> by operation, the earliest end of what it waits for, and its release */
    public array $ready = [];

    /** @var array<int> by operation, the earliest minute it can end */
    public array $earliestEnd = [];

    /** @var array<int> by operation, minutes at least from its end to the end of what follows it, in its job where that is what counts */
    public array $tail = [];

    /** @var array<int> by operation, the minute it must have ended for what is pinned; NEVER: none */
    public array $latest = [];

    /** @var array<list<int>> by resource, the operations that may take it */
    public array $takers = [];

    /** @var array<bool> by job: all of it can be planned, as far as can be seen beforehand */
    public array $isWhole = [];

    /** @var array<list<int>> by operation, what it may take */
    public array $shared = [];

    /** @var array<int> by job, what leaving it out counts: its weight, and a little where it has none */
    public array $leftOut = [];

    /** What a job that is left out costs for each unit of that: more than all lateness together. */
    public readonly int $penalty;

    /** @var array<array-key, Openings> by resources taken together */
    private array $together = [];

    public bool $hasLags = false;
    public bool $hasBatches = false;

    public function __construct(public readonly Problem $problem)
    {
        $this->count = \count($problem->operations);
        $resource = self::places(array_map(static fn (SharedResource $one): string => $one->id, $problem->resources));
        $job = self::places(array_map(static fn (PlanJob $one): string => $one->id, $problem->jobs));
        $place = self::places(array_map(static fn (Operation $one): string => $one->id, $problem->operations));
        $this->next = array_fill(0, $this->count, []);
        $this->takers = array_fill(0, \count($problem->resources), []);
        foreach ($problem->operations as $at => $operation) {
            $this->job[$at] = $job[$operation->job];
            $this->minutes[$at] = $operation->minutes;
            $this->release[$at] = max(0, $problem->jobs[$this->job[$at]]->release);
            $this->lag[$at] = $operation->atMostAfter ?? self::NEVER;
            $this->pin[$at] = $operation->pinned;
            $this->splits[$at] = $operation->splits;
            $this->key[$at] = $operation->batchKey;
            $this->before[$at] = array_values(array_unique(array_map(static fn (string $id): int => $place[$id], $operation->after)));
            foreach ($this->before[$at] as $one) {
                $this->next[$one][] = $at;
            }
            $this->hasLags = $this->hasLags || null !== $operation->atMostAfter;
            $this->readWays($at, $operation, $resource);
        }
        $this->leftOut = array_map(static fn (PlanJob $one): int => $one->weight * (1 + \count($problem->jobs)) + 1, $problem->jobs);
        $this->penalty = intdiv(self::NEVER, 4 * max(1, array_sum($this->leftOut)));
        $this->sort();
        $this->reckon();
    }

    /** Operations that are given up, and with them whatever waits for them. */
    public function giveUp(int $at, WhyNot $why): void
    {
        $this->unplannable[$at] = $why;
        $this->reckon();
    }

    /**
     * What a pin may not wait long for is not to be over too soon: the last of it, as far as can be seen.
     */
    public function holdBackForPins(): void
    {
        foreach ($this->order as $at) {
            $this->release[$at] = max(0, $this->problem->jobs[$this->job[$at]]->release);
        }
        foreach ($this->order as $at) {
            if (null === $this->pin[$at] || self::NEVER === $this->lag[$at]) {
                continue;
            }
            $last = $this->before[$at][0];
            foreach ($this->before[$at] as $first) {
                $last = $this->earliestEnd[$first] > $this->earliestEnd[$last] ? $first : $last;
            }
            $this->release[$last] = max($this->release[$last], $this->pin[$at] - $this->lag[$at] - $this->minutes[$last]);
        }
        $this->reckon();
    }

    /** @return int the earliest end of an operation that begins at a minute, or from it on; NEVER where it cannot */
    public function endFrom(int $at, int $from, bool $isFixed = false): int
    {
        $earliest = self::NEVER;
        foreach ($this->open[$at] as $open) {
            $start = $isFixed ? $from : $open->firstStart($from, $this->minutes[$at], $this->splits[$at]);
            if (null !== $start) {
                $earliest = min($earliest, $open->endOf($start, $this->minutes[$at], $this->splits[$at]) ?? self::NEVER);
            }
        }

        return $earliest;
    }

    /** @return list<int> what must be over before something pinned, the most urgent first */
    public function beforePins(): array
    {
        $first = array_values(array_filter($this->order, fn (int $at): bool => self::NEVER !== $this->latest[$at] && null === $this->pin[$at]));
        usort($first, fn (int $one, int $other): int => [$this->latest[$one], $one] <=> [$this->latest[$other], $other]);

        return $first;
    }

    /** @return array<int, true> what waits for an operation, at once or in the end */
    public function after(int $at): array
    {
        $found = [];
        $open = [$at];
        while (null !== $one = array_pop($open)) {
            foreach ($this->next[$one] as $next) {
                if (!isset($found[$next])) {
                    $found[$next] = true;
                    $open[] = $next;
                }
            }
        }

        return $found;
    }

    /** @param array<array-key, int> $resource places by id */
    private function readWays(int $at, Operation $operation, array $resource): void
    {
        $this->batches[$at] = $this->ways[$at] = $this->open[$at] = [];
        foreach ($operation->uses as [$id, $units]) {
            if (null !== $this->problem->resources[$resource[$id]]->cycle) {
                $this->batches[$at][] = [$resource[$id], $units];
                $this->hasBatches = true;
            }
        }
        foreach ($operation->ways() as $way => $uses) {
            $taken = [];
            foreach ($uses as [$id, $units]) {
                if (null === $this->problem->resources[$resource[$id]]->cycle) {
                    $taken[] = [$resource[$id], $units];
                }
            }
            $open = $this->openTogether(array_map(static fn (array $one): int => $resource[$one[0]], $uses));
            if ($open->hold($operation->minutes, $operation->splits)) {
                $this->ways[$at][$way] = $taken;
                $this->open[$at][$way] = $open;
            }
        }
        $this->shared[$at] = array_values(array_unique(array_column(array_merge($this->batches[$at], ...$this->ways[$at]), 0)));
        foreach ($this->shared[$at] as $taken) {
            $this->takers[$taken][] = $at;
        }
        if ([] === $this->ways[$at]) {
            $this->unplannable[$at] = WhyNot::LongerThanAnyOpening;
        }
    }

    /** @param list<int> $resources */
    private function openTogether(array $resources): Openings
    {
        sort($resources);
        $key = implode(' ', $resources);
        if (!isset($this->together[$key])) {
            $open = Openings::always();
            foreach ($resources as $one) {
                $open = $open->and($this->problem->resources[$one]->openings);
            }
            $this->together[$key] = $open;
        }

        return $this->together[$key];
    }

    /** Puts each after what it waits for; what waits for itself, or for what cannot be planned, is left out. */
    private function sort(): void
    {
        /** @var array<int, int> $waits */
        $waits = [];
        $ready = [];
        for ($at = 0; $at < $this->count; ++$at) {
            $waits[$at] = \count($this->before[$at]);
            if (0 === $waits[$at]) {
                $ready[] = $at;
            }
        }
        $left = array_fill_keys(array_keys($waits), true);
        $sorted = [];
        for ($place = 0; isset($ready[$place]); ++$place) {
            $at = $sorted[] = $ready[$place];
            unset($left[$at]);
            foreach ($this->next[$at] as $one) {
                if (0 === --$waits[$one]) {
                    $ready[] = $one;
                }
            }
        }
        // Of what is left, whatever leads to no more of it only follows a cycle.
        do {
            $ends = [];
            foreach (array_keys($left) as $at) {
                if ([] === array_filter($this->next[$at], static fn (int $one): bool => isset($left[$one]))) {
                    $ends[] = $at;
                }
            }
            foreach ($ends as $at) {
                unset($left[$at]);
                $this->unplannable[$at] = WhyNot::FollowsUnplanned;
            }
        } while ([] !== $ends);
        foreach (array_keys($left) as $at) {
            $this->unplannable[$at] = WhyNot::Cycle;
        }
        foreach ($sorted as $at) {
            foreach ($this->before[$at] as $first) {
                if (isset($this->unplannable[$first])) {
                    $this->unplannable[$at] ??= WhyNot::FollowsUnplanned;
                }
            }
            if (!isset($this->unplannable[$at])) {
                $this->order[] = $at;
            }
        }
    }

    /** What follows from what can still be planned. */
    public function reckon(): void
    {
        $this->reckonEarliest();
        $this->reckonLatest();
        $this->ofJob = array_fill(0, \count($this->problem->jobs), []);
        $this->isWhole = array_fill(0, \count($this->problem->jobs), true);
        foreach ($this->order as $at) {
            $this->ofJob[$this->job[$at]][] = $at;
        }
        foreach (array_keys($this->unplannable) as $at) {
            $this->isWhole[$this->job[$at]] = false;
        }
    }

    private function reckonEarliest(): void
    {
        foreach ($this->order as $place => $at) {
            if (isset($this->unplannable[$at])) {
                unset($this->order[$place]);
                continue;
            }
            $from = $this->release[$at];
            foreach ($this->before[$at] as $first) {
                if (isset($this->unplannable[$first])) {
                    $this->unplannable[$at] = WhyNot::FollowsUnplanned;
                    unset($this->order[$place]);
                    continue 2;
                }
                $from = max($from, $this->earliestEnd[$first]);
            }
            $this->ready[$at] = $from;
            $this->earliestEnd[$at] = $this->endFrom($at, $this->pin[$at] ?? $from, null !== $this->pin[$at]);
            if (self::NEVER === $this->earliestEnd[$at]) {
                $this->unplannable[$at] = null === $this->pin[$at] ? WhyNot::NoRoom : WhyNot::PinConflict;
                unset($this->order[$place]);
            }
        }
        $this->order = array_values($this->order);
        foreach (array_reverse($this->order) as $at) {
            $this->tail[$at] = 0;
            foreach ($this->next[$at] as $one) {
                // Another job's lateness is its own.
                $counts = !isset($this->unplannable[$one]) && (Objective::Makespan === $this->problem->objective || $this->job[$one] === $this->job[$at]);
                $this->tail[$at] = max($this->tail[$at], $counts ? $this->tail[$one] + $this->minutes[$one] : 0);
            }
        }
    }

    private function reckonLatest(): void
    {
        foreach (array_reverse($this->order) as $at) {
            $this->latest[$at] = self::NEVER;
            foreach ($this->next[$at] as $one) {
                if (!isset($this->unplannable[$one])) {
                    $this->latest[$at] = min($this->latest[$at], $this->pin[$one] ?? (self::NEVER === $this->latest[$one] ? self::NEVER : $this->latest[$one] - $this->minutes[$one]));
                }
            }
        }
    }

    /**
     * @param list<string> $ids
     *
     * @return array<array-key, int<0, max>>
     */
    private static function places(array $ids): array
    {
        return array_flip($ids);
    }
}
