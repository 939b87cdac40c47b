<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * What is taken when, while a plan is being built.
 *
 * Of each resource a staircase is kept: from which minute on how many units are taken, neighbours of one height being
 * one. A stair on which it is closed is lifted by CLOSED, so that one look tells both. PHP copies an array only when it
 * is written to, so a copy of a timetable costs no more than what is changed in it afterwards.
 *
 * @phpstan-import-type Uses from Instance
 *
 * @phpstan-type Cycle array{int, int, string|null, int, int}
 */
final class Timetable
{
    /** Above any capacity. */
    private const CLOSED = 1 << 40;

    public const UNPLACED = -1;

    /** @var array<int> by operation */
    public array $start;

    /** @var array<int> by operation */
    public array $end;

    /** @var array<int> by operation */
    public array $way;

    /** How many operations were put somewhere since it was made: what a budget is counted in. */
    public int $steps = 0;

    /** Which way is looked at first where several end at once. */
    public int $turn = 0;

    /** @var array<non-empty-list<int>> by resource, the minutes at which a stair begins */
    private array $from = [];

    /** @var array<non-empty-list<int>> by resource, units taken from there on */
    private array $taken = [];

    /** @var array<list<Cycle>> by resource, in order of their start: start, end, key, units taken, operations in it */
    private array $cycles = [];

    /** @var array<int> by resource */
    private array $capacity = [];

    private int $foundStart = 0;
    private int $foundEnd = 0;

    public function __construct(private readonly Instance $instance)
    {
        $this->start = $this->end = $this->way = array_fill(0, $instance->count, self::UNPLACED);
        foreach ($instance->problem->resources as $at => $resource) {
            $this->capacity[$at] = $resource->capacity;
            $this->cycles[$at] = [];
            $this->from[$at] = [0];
            $this->taken[$at] = [null === $resource->openings->stretches ? 0 : self::CLOSED];
            foreach ($resource->openings->stretches ?? [] as [$from, $to]) {
                if ($to > 0) {
                    $this->add($at, max(0, $from), $to, -self::CLOSED);
                }
            }
        }
    }

    /**
     * Puts an operation where it ends first.
     *
     * @param int      $from  not before this minute
     * @param int      $until it must have ended by then
     * @param int|null $way   only this one of its ways; null: any
     *
     * @return bool false, and nothing changed, where there is no room
     */
    public function place(int $at, int $from, int $until = Instance::NEVER, ?int $way = null): bool
    {
        ++$this->steps;
        $ways = $this->instance->ways[$at];
        $best = $bestStart = $bestEnd = self::UNPLACED;
        if (null !== $way) {
            $ways = isset($ways[$way]) ? [$way => $ways[$way]] : [];
        }
        $count = \count($ways);
        if (1 === $count) {
            $best = array_key_first($ways);
            if (!$this->find($at, $best, $ways[$best], $from, Instance::NEVER)) {
                return false;
            }
            $bestStart = $this->foundStart;
            $bestEnd = $this->foundEnd;
        } else {
            $keys = array_keys($ways);
            $bestEnd = Instance::NEVER;
            for ($one = 0; $one < $count; ++$one) {
                $key = $keys[($one + $this->turn) % $count];
                if ($this->find($at, $key, $ways[$key], $from, $bestEnd)) {
                    $best = $key;
                    $bestStart = $this->foundStart;
                    $bestEnd = $this->foundEnd;
                }
            }
        }
        if (self::UNPLACED === $best || $bestEnd > $until) {
            return false;
        }
        $this->put($at, $best, $bestStart, $bestEnd);

        return true;
    }

    /** @return bool false, and nothing changed, where it cannot stand there in that way */
    public function placeAt(int $at, int $start, int $way): bool
    {
        ++$this->steps;
        $uses = $this->instance->ways[$at][$way] ?? null;
        if (null === $uses || $start < 0 || !$this->find($at, $way, $uses, $start, Instance::NEVER) || $this->foundStart !== $start) {
            return false;
        }
        $this->put($at, $way, $start, $this->foundEnd);

        return true;
    }

    public function remove(int $at): void
    {
        $start = $this->start[$at];
        $end = $this->end[$at];
        foreach ($this->instance->ways[$at][$this->way[$at]] as [$resource, $units]) {
            $this->add($resource, $start, $end, -$units);
        }
        foreach ($this->instance->batches[$at] as [$resource, $units]) {
            foreach ($this->cycles[$resource] as $place => $cycle) {
                if ($cycle[0] === $start) {
                    if (1 === $cycle[4]) {
                        array_splice($this->cycles[$resource], $place, 1);
                    } else {
                        $this->cycles[$resource][$place][3] -= $units;
                        --$this->cycles[$resource][$place][4];
                    }
                    break;
                }
            }
        }
        $this->start[$at] = $this->end[$at] = $this->way[$at] = self::UNPLACED;
    }

    private function put(int $at, int $way, int $start, int $end): void
    {
        foreach ($this->instance->ways[$at][$way] as [$resource, $units]) {
            $this->add($resource, $start, $end, $units);
        }
        foreach ($this->instance->batches[$at] as [$resource, $units]) {
            $this->join($resource, $start, $end, $this->instance->key[$at], $units);
        }
        $this->start[$at] = $start;
        $this->end[$at] = $end;
        $this->way[$at] = $way;
    }

    /**
     * Looks for the first place from a minute on and leaves it in foundStart and foundEnd.
     *
     * @param Uses $uses
     * @param int  $before what ends then or later is of no use
     */
    private function find(int $at, int $way, array $uses, int $from, int $before): bool
    {
        if ($this->instance->splits[$at] || [] !== $this->instance->batches[$at]) {
            return $this->findWithBreaks($at, $way, $uses, $from, $before);
        }
        $minutes = $this->instance->minutes[$at];
        $before -= $minutes;
        do {
            $start = $from;
            foreach ($uses as [$resource, $units]) {
                $from = $this->fit($resource, $from, $minutes, $units, $before);
                if (self::UNPLACED === $from) {
                    return false;
                }
            }
        } while ($from !== $start && isset($uses[1]));
        if ($from >= $before) {
            return false;
        }
        $this->foundStart = $from;
        $this->foundEnd = $from + $minutes;

        return true;
    }

    /** The first minute from then on, and before another, at which a resource is open with room for so many units for so long; UNPLACED where there is none. */
    private function fit(int $resource, int $from, int $minutes, int $units, int $before): int
    {
        $begins = $this->from[$resource];
        $taken = $this->taken[$resource];
        $room = $this->capacity[$resource] - $units;
        $low = 0;
        $last = $high = \count($begins) - 1;
        while ($low < $high) {
            $middle = ($low + $high + 1) >> 1;
            if ($begins[$middle] <= $from) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }
        while (true) {
            if ($taken[$low] > $room) {
                if ($low === $last) {
                    return self::UNPLACED;
                }
                $from = $begins[++$low];
                if ($from >= $before) {
                    return self::UNPLACED;
                }
            } elseif ($low === $last || $begins[$low + 1] >= $from + $minutes) {
                return $from;
            } else {
                ++$low;
            }
        }
    }

    /**
     * The same for what may be broken where it closes, and for what joins a cycle.
     *
     * @param Uses $uses
     */
    private function findWithBreaks(int $at, int $way, array $uses, int $from, int $before): bool
    {
        $open = $this->instance->open[$at][$way];
        $minutes = $this->instance->minutes[$at];
        $splits = $this->instance->splits[$at];
        while (true) {
            $start = $open->firstStart($from, $minutes, $splits);
            $end = null === $start ? null : $open->endOf($start, $minutes, $splits);
            if (null === $start || null === $end || $end >= $before) {
                return false;
            }
            $from = $start;
            foreach ($uses as [$resource, $units]) {
                $from = max($from, $this->free($resource, $start, $end, $units));
            }
            foreach ($this->instance->batches[$at] as [$resource, $units]) {
                $from = max($from, $this->cycle($resource, $start, $end, $this->instance->key[$at], $units));
            }
            if ($from === $start) {
                $this->foundStart = $start;
                $this->foundEnd = $end;

                return true;
            }
        }
    }

    /** The start, where so many units are free all the while, closed or not; else the first minute at which they may be. */
    private function free(int $resource, int $start, int $end, int $units): int
    {
        $room = $this->capacity[$resource] - $units;
        $begins = $this->from[$resource];
        $count = \count($begins);
        for ($place = $this->stair($resource, $start); $place < $count && $begins[$place] < $end; ++$place) {
            if ($this->taken[$resource][$place] % self::CLOSED > $room) {
                return $begins[$place + 1] ?? $end;
            }
        }

        return $start;
    }

    /** The start, where a cycle may begin or be joined; else the first minute at which it may be so. */
    private function cycle(int $resource, int $start, int $end, ?string $key, int $units): int
    {
        foreach ($this->cycles[$resource] as [$begins, $ends, $others, $taken]) {
            if ($begins >= $end) {
                break;
            }
            if ($ends > $start) {
                $joins = $others === $key && $taken + $units <= $this->capacity[$resource];
                if ($begins === $start && $ends === $end && $joins) {
                    return $start;
                }

                return $joins && $begins > $start ? $begins : $ends;
            }
        }

        return $start;
    }

    private function join(int $resource, int $start, int $end, ?string $key, int $units): void
    {
        $place = 0;
        foreach ($this->cycles[$resource] as $place => $cycle) {
            if ($cycle[0] === $start) {
                $this->cycles[$resource][$place][3] += $units;
                ++$this->cycles[$resource][$place][4];

                return;
            }
            if ($cycle[0] > $start) {
                array_splice($this->cycles[$resource], $place, 0, [[$start, $end, $key, $units, 1]]);

                return;
            }
        }
        $this->cycles[$resource][] = [$start, $end, $key, $units, 1];
    }

    /** Lifts, or lowers, what is taken between two minutes. */
    private function add(int $resource, int $start, int $end, int $units): void
    {
        $begins = &$this->from[$resource];
        $taken = &$this->taken[$resource];
        $first = $this->stair($resource, $start);
        if ($begins[$first] !== $start) {
            array_splice($begins, ++$first, 0, $start);
            array_splice($taken, $first, 0, $taken[$first - 1]);
        }
        $count = \count($begins);
        $last = $first;
        do {
            $taken[$last] += $units;
            ++$last;
        } while ($last < $count && $begins[$last] < $end);
        if ($last === $count || $begins[$last] !== $end) {
            array_splice($begins, $last, 0, $end);
            array_splice($taken, $last, 0, $taken[$last - 1] - $units);
        } elseif ($taken[$last] === $taken[$last - 1]) {
            array_splice($begins, $last, 1);
            array_splice($taken, $last, 1);
        }
        if ($first > 0 && $taken[$first] === $taken[$first - 1]) {
            array_splice($begins, $first, 1);
            array_splice($taken, $first, 1);
        }
    }

    private function stair(int $resource, int $minute): int
    {
        $begins = $this->from[$resource];
        $low = 0;
        $high = \count($begins) - 1;
        while ($low < $high) {
            $middle = ($low + $high + 1) >> 1;
            if ($begins[$middle] <= $minute) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }
}
