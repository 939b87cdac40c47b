<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * A plan while it is being built: what comes first is placed first, what may not wait longer is given a later
 * predecessor, and a job that finds no room gives back what it had taken.
 */
final class Builder
{
    /** So often a predecessor is put off for what may not wait, before it is given up. */
    private const PUT_OFF = 60;

    public Timetable $table;

    /** @var array<WhyNot> by job that found no room */
    public array $lost = [];

    /** @var array<bool> by job whose operations moved since its end was reckoned */
    private array $touched = [];

    /** @var array<int> by job, the end of its last operation; what is lost or not whole is not in it */
    public array $ends = [];

    /** @var array<int> by operation, not to start before: while something after it may not wait */
    private array $notBefore = [];

    /** @var array<int> by operation that is to be done in one of its ways, should that be possible */
    public array $wish = [];

    /** @var array<int> by job */
    private array $due = [];

    /** @var array<int, int> by job */
    private array $weight = [];

    public function __construct(public readonly Instance $instance)
    {
        $this->table = new Timetable($instance);
        foreach ($instance->problem->jobs as $at => $job) {
            $this->due[$at] = $job->due ?? Instance::NEVER;
            $this->weight[$at] = $job->weight;
        }
    }

    public function __clone()
    {
        $this->table = clone $this->table;
    }

    /** @param iterable<int> $order operations, the most urgent first */
    public function build(iterable $order): void
    {
        foreach ($order as $at) {
            $this->insert($at);
        }
    }

    /** Places an operation and what must come before it, as early as they can be. */
    public function insert(int $at): bool
    {
        if (Timetable::UNPLACED !== $this->table->start[$at]) {
            return true;
        }
        $job = $this->instance->job[$at];
        if (isset($this->lost[$job]) || isset($this->instance->unplannable[$at])) {
            return false;
        }
        foreach ($this->instance->before[$at] as $first) {
            if (Timetable::UNPLACED === $this->table->start[$first] && !$this->insert($first)) {
                $this->lose($job, WhyNot::FollowsUnplanned);

                return false;
            }
        }
        $this->touched[$job] = true;
        if (!$this->place($at)) {
            $this->lose($job, $this->why($at));

            return false;
        }

        return true;
    }

    /** Takes an operation out, and whatever is placed after it. Pins stay. */
    public function takeOut(int $at): void
    {
        if (Timetable::UNPLACED === $this->table->start[$at] || null !== $this->instance->pin[$at]) {
            return;
        }
        foreach ($this->instance->next[$at] as $one) {
            $this->takeOut($one);
        }
        $this->table->remove($at);
        $this->touched[$this->instance->job[$at]] = true;
    }

    public function takeOutJob(int $job): void
    {
        foreach ($this->instance->ofJob[$job] as $at) {
            $this->takeOut($at);
        }
        unset($this->lost[$job]);
    }

    /** @return int the last end of what an operation waits for, or its release */
    public function readyAt(int $at): int
    {
        $ready = max($this->instance->release[$at], $this->notBefore[$at] ?? 0);
        foreach ($this->instance->before[$at] as $first) {
            $end = $this->table->end[$first];
            if ($end > $ready) {
                $ready = $end;
            }
        }

        return $ready;
    }

    /**
     * @return array{int, int, int} what a plan is judged by, less is better: what the jobs that found no room count, value, makespan
     */
    public function rank(): array
    {
        foreach (array_keys($this->touched) as $job) {
            unset($this->ends[$job]);
            if (!$this->instance->isWhole[$job] || isset($this->lost[$job])) {
                continue;
            }
            $end = 0;
            foreach ($this->instance->ofJob[$job] as $at) {
                $one = $this->table->end[$at];
                if (Timetable::UNPLACED === $one) {
                    continue 2;
                }
                if ($one > $end) {
                    $end = $one;
                }
            }
            $this->ends[$job] = $end;
        }
        $this->touched = [];
        $late = $left = 0;
        foreach ($this->weight as $job => $weight) {
            $end = $this->ends[$job] ?? null;
            if (null === $end) {
                $left += $this->instance->isWhole[$job] ? $this->instance->leftOut[$job] : 0;
            } elseif ($end > $this->due[$job]) {
                $late += $weight * ($end - $this->due[$job]);
            }
        }
        $makespan = [] === $this->ends ? 0 : max($this->ends);

        return Objective::Makespan === $this->instance->problem->objective ? [$left, $makespan, $makespan] : [$left, $late, $makespan];
    }

    /** What one job costs: its end, or its weight times the minutes past its promise; where it is not whole, more than all lateness could. */
    public function cost(int $job): int
    {
        if (!$this->instance->isWhole[$job]) {
            return 0;
        }
        if (isset($this->lost[$job])) {
            return $this->instance->leftOut[$job] * $this->instance->penalty;
        }
        $end = 0;
        foreach ($this->instance->ofJob[$job] as $at) {
            if ($this->table->end[$at] > $end) {
                $end = $this->table->end[$at];
            }
        }

        return Objective::Makespan === $this->instance->problem->objective ? $end : $this->weight[$job] * max(0, $end - $this->due[$job]);
    }

    /** @return array<int, int> by job that costs something */
    public function costs(): array
    {
        $costs = [];
        foreach (array_keys($this->weight) as $job) {
            $costs[$job] = $this->cost($job);
        }
        if (Objective::Makespan === $this->instance->problem->objective && [] !== $costs) {
            // Only what ends last counts.
            $last = max($costs);
            $costs = array_map(static fn (int $cost): int => $cost === $last ? 1 : 0, $costs);
        }

        return array_filter($costs, static fn (int $cost): bool => $cost > 0);
    }

    /** Minutes that people are there between their first start and last end and do nothing. */
    public function idle(): int
    {
        $worked = [];
        foreach ($this->instance->order as $at) {
            foreach (Timetable::UNPLACED === $this->table->start[$at] ? [] : $this->instance->ways[$at][$this->table->way[$at]] as [$resource]) {
                $worked[$resource][] = [$this->table->start[$at], $this->table->end[$at]];
            }
        }
        $idle = 0;
        foreach ($worked as $resource => $stretches) {
            $one = $this->instance->problem->resources[$resource];
            if ($one->isPerson) {
                $idle += $one->idleBeside($stretches);
            }
        }

        return $idle;
    }

    /** Plans what is left as far as it goes, whatever becomes of the rest of its job. */
    public function fill(): void
    {
        foreach ($this->instance->order as $at) {
            $waits = array_filter($this->instance->before[$at], fn (int $first): bool => Timetable::UNPLACED === $this->table->start[$first]);
            if ([] !== $waits && Timetable::UNPLACED !== $this->table->start[$at]) {
                // A pin whose predecessor found no room.
                $this->table->remove($at);
            }
        }
        foreach ($this->instance->order as $at) {
            $waits = array_filter($this->instance->before[$at], fn (int $first): bool => Timetable::UNPLACED === $this->table->start[$first]);
            if ([] === $waits && Timetable::UNPLACED === $this->table->start[$at]) {
                $this->touched[$this->instance->job[$at]] = true;
                if (null === $this->instance->pin[$at]) {
                    $this->place($at);
                } else {
                    $this->pin($at, $this->instance->pin[$at]);
                }
            }
        }
    }

    /** Puts an operation down at its fixed start; false where it cannot stand there. */
    public function pin(int $at, int $start): bool
    {
        foreach (array_keys($this->readyAt($at) <= $start ? $this->instance->ways[$at] : []) as $way) {
            if ($this->table->placeAt($at, $start, $way)) {
                return true;
            }
        }

        return false;
    }

    /** Why an operation is not placed though what it waits for is. */
    public function why(int $at): WhyNot
    {
        return Instance::NEVER === $this->instance->lag[$at] ? WhyNot::NoRoom : WhyNot::WaitsTooLong;
    }

    public function touchAll(): void
    {
        $this->touched = array_fill_keys(array_keys($this->instance->ofJob), true);
    }

    /** The same with nothing in it but what is pinned. */
    public function emptied(): self
    {
        $empty = clone $this;
        foreach (array_reverse($this->instance->order) as $at) {
            $empty->takeOut($at);
        }
        $empty->lost = [];

        return $empty;
    }

    private function place(int $at): bool
    {
        if (Timetable::UNPLACED !== $this->table->start[$at]) {
            return true;
        }
        $ready = $this->readyAt($at);
        $latest = $this->instance->latest[$at];
        $isWished = isset($this->wish[$at]) && $this->table->place($at, $ready, $latest, $this->wish[$at]);
        if (!$isWished && !$this->table->place($at, $ready, $latest)) {
            return false;
        }
        $lag = $this->instance->lag[$at];
        if (Instance::NEVER === $lag) {
            return true;
        }
        for ($tries = 0; $this->table->start[$at] > $this->lastEnd($at) + $lag; ++$tries) {
            $start = $this->table->start[$at];
            $this->table->remove($at);
            if ($tries > self::PUT_OFF || !$this->putOff($at, $start - $lag)) {
                return false;
            }
            if (!$this->table->place($at, $this->readyAt($at), $latest)) {
                return false;
            }
        }

        return true;
    }

    /** Puts off the last of what an operation waits for, so that it ends at a minute or later, and with it what follows that. */
    private function putOff(int $at, int $until): bool
    {
        $last = null;
        foreach ($this->instance->before[$at] as $first) {
            if (null === $last || $this->table->end[$first] > $this->table->end[$last]) {
                $last = $first;
            }
        }
        if (null === $last || null !== $this->instance->pin[$last]) {
            return false;
        }
        $after = $this->placedAfter($last);
        foreach ($after as $one) {
            if (null !== $this->instance->pin[$one]) {
                return false;
            }
        }
        foreach (array_reverse($after) as $one) {
            $this->table->remove($one);
            $this->touched[$this->instance->job[$one]] = true;
        }
        $kept = $this->notBefore;
        $this->notBefore[$last] = max($kept[$last] ?? 0, $until - $this->instance->minutes[$last]);
        $isPlaced = true;
        foreach ($after as $one) {
            $isPlaced = $isPlaced && $this->place($one);
        }
        $this->notBefore = $kept;
        if (!$isPlaced) {
            foreach (array_reverse($after) as $one) {
                if (Timetable::UNPLACED !== $this->table->start[$one]) {
                    $this->table->remove($one);
                }
                $this->lose($this->instance->job[$one], WhyNot::WaitsTooLong);
            }
        }

        return $isPlaced;
    }

    /** @return list<int> an operation and what is placed after it, each after what it waits for */
    private function placedAfter(int $at): array
    {
        $found = [$at => true];
        $open = [$at];
        while (null !== $one = array_pop($open)) {
            foreach ($this->instance->next[$one] as $next) {
                if (!isset($found[$next]) && Timetable::UNPLACED !== $this->table->start[$next]) {
                    $found[$next] = true;
                    $open[] = $next;
                }
            }
        }
        $sorted = array_keys($found);
        usort($sorted, fn (int $one, int $other): int => $this->table->start[$one] <=> $this->table->start[$other]);

        return $sorted;
    }

    private function lastEnd(int $at): int
    {
        $last = 0;
        foreach ($this->instance->before[$at] as $first) {
            $last = max($last, $this->table->end[$first]);
        }

        return $last;
    }

    private function lose(int $job, WhyNot $why): void
    {
        if (isset($this->lost[$job])) {
            return;
        }
        $this->lost[$job] = $why;
        $this->touched[$job] = true;
        foreach ($this->instance->ofJob[$job] as $at) {
            foreach (Timetable::UNPLACED !== $this->table->start[$at] && null === $this->instance->pin[$at] ? $this->placedAfter($at) : [] as $one) {
                if ($this->instance->job[$one] !== $job) {
                    $this->lose($this->instance->job[$one], WhyNot::FollowsUnplanned);
                }
            }
            $this->takeOut($at);
        }
    }
}
