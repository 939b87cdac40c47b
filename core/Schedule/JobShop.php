<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A tabu search for the shortest plan of a job shop: chains of operations, each on one machine that is always there and
 * does one thing at a time. A move takes an operation of a critical block to its front or its end (Balas and Vazacopoulos
 * 1998, their feasibility conditions and their estimate); the arcs it turned may not be turned back for a while (Nowicki
 * and Smutnicki 1996). Where nothing better comes, it starts again between two of the good plans it found: their starts
 * mixed in one proportion keep every chain in order, so the mixture is a plan as well (after the path relinking of Peng,
 * Lü and Cheng 2015).
 *
 * A move says whether it goes back in its block, what is moved, and what it is moved behind or before.
 *
 * @phpstan-type Move array{bool, int, int}
 */
final class JobShop
{
    /** Moves without anything better before it starts anew, and how many good plans it remembers. */
    private const PATIENCE = 2000;
    private const REMEMBERED = 8;

    /** What an iteration costs, and each operation in it, in steps (measured). */
    private const STEPS = 2.0;
    private const STEPS_PER_OPERATION = 0.065;

    /** No operation. */
    private const NONE = -1;

    private readonly Randomizer $dice;
    private readonly int $count;
    private int $tenure;

    /** @var array<int> by operation */
    private array $minutes = [];

    /** @var array<int> by operation: what comes before and after it in its job and on its machine; NONE: nothing */
    private array $jobBefore = [];

    /** @var array<int> */
    private array $jobNext = [];

    /** @var array<int> */
    private array $machineBefore = [];

    /** @var array<int> */
    private array $machineNext = [];

    /** @var array<int> by operation: longest way to its start, and from its end to the end of all */
    private array $head = [];

    /** @var array<int> */
    private array $tail = [];

    /** @var array<int> by operation */
    private array $release;

    /** @var array<int> by two operations: until which iteration the one may not come before the other */
    private array $tabu = [];

    /** @var array<non-empty-list<int>> by resource, its operations */
    private array $machines = [];

    private int $makespan = 0;
    private int $best = \PHP_INT_MAX;

    /** @var array<int> by operation, its start in the best plan */
    private array $bestHead;

    /** The best since it started anew. */
    private int $good = \PHP_INT_MAX;

    /** @var array<int> */
    private array $goodHead = [];

    /** @var list<array{int, array<int>}> makespan and starts of good plans */
    private array $remembered = [];

    private int $iteration = 0;

    private function __construct(private readonly Instance $instance, private readonly Incumbent $incumbent, int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
        $this->count = $instance->count;
        $this->minutes = $instance->minutes;
        $this->release = $instance->release;
        foreach ($instance->order as $at) {
            $this->jobBefore[$at] = $instance->before[$at][0] ?? self::NONE;
            $this->jobNext[$at] = $instance->next[$at][0] ?? self::NONE;
            $this->machineBefore[$at] = $this->machineNext[$at] = self::NONE;
            foreach ($instance->shared[$at] as $machine) {
                $this->machines[$machine][] = $at;
            }
        }
        $this->sequence($incumbent->best->table->start);
        $this->tenure = 10 + intdiv(\count($instance->problem->jobs), max(1, \count($this->machines)));
        $this->measure();
        $this->keep();
    }

    /** Whether a problem is one: shortest plan, chains, one machine each, always there. */
    public static function is(Instance $instance): bool
    {
        if (Objective::Makespan !== $instance->problem->objective || $instance->hasLags || $instance->hasBatches || [] !== $instance->unplannable) {
            return false;
        }
        foreach ($instance->problem->resources as $resource) {
            if (null !== $resource->openings->stretches || 1 !== $resource->capacity) {
                return false;
            }
        }
        foreach ($instance->order as $at) {
            if (\count($instance->before[$at]) > 1 || \count($instance->next[$at]) > 1 || \count($instance->ways[$at]) > 1 || \count($instance->shared[$at]) > 1 || null !== $instance->pin[$at]) {
                return false;
            }
        }

        return $instance->count > 1;
    }

    /** Searches until the budget is spent or nothing can be better than the bound. */
    public static function search(Instance $instance, Incumbent $incumbent, int $bound, int $seed): void
    {
        $shop = new self($instance, $incumbent, $seed);
        $shop->run($bound);
        $order = $instance->order;
        usort($order, static fn (int $one, int $other): int => $shop->bestHead[$one] <=> $shop->bestHead[$other]);
        $plan = new Builder($instance);
        $plan->build($order);
        $incumbent->offer($plan, $plan->rank());
    }

    private function run(int $bound): void
    {
        $cost = max(1, (int) round(self::STEPS + $this->count * self::STEPS_PER_OPERATION));
        $since = 0;
        while ($this->best > $bound && !$this->incumbent->steps->areSpent()) {
            $this->incumbent->steps->spend($cost);
            ++$this->iteration;
            $move = $this->bestMove();
            if (null === $move || ++$since > self::PATIENCE) {
                $this->startAnew();
                $since = 0;
                continue;
            }
            $this->make($move);
            $this->measure();
            if ($this->makespan < $this->good) {
                $this->keep();
                $since = 0;
            }
        }
    }

    private function keep(): void
    {
        $this->good = $this->makespan;
        $this->goodHead = $this->head;
        if ($this->makespan < $this->best) {
            $this->best = $this->makespan;
            $this->bestHead = $this->head;
        }
    }

    private function startAnew(): void
    {
        if (!\in_array([$this->good, $this->goodHead], $this->remembered, true)) {
            $this->remembered[] = [$this->good, $this->goodHead];
            usort($this->remembered, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
            $this->remembered = \array_slice($this->remembered, 0, self::REMEMBERED);
        }
        $known = \count($this->remembered);
        $one = $this->remembered[$this->dice->getInt(0, $known - 1)][1];
        $other = $known < self::REMEMBERED ? $this->anyStarts() : $this->remembered[$this->dice->getInt(0, $known - 1)][1];
        $share = $this->dice->getInt(30, 70) / 100;
        $mixed = [];
        foreach ($one as $at => $start) {
            $mixed[$at] = $share * $start + (1 - $share) * $other[$at];
        }
        $this->sequence($mixed);
        $this->tabu = [];
        $this->measure();
        $this->good = \PHP_INT_MAX;
        $this->keep();
    }

    /** @return array<int> starts of no plan, each after those before it in its job */
    private function anyStarts(): array
    {
        $starts = [];
        foreach ($this->instance->order as $at) {
            $first = $this->jobBefore[$at];
            $starts[$at] = (self::NONE === $first ? 0 : $starts[$first]) + $this->dice->getInt(1, max(2, 2 * intdiv($this->best * \count($this->machines), $this->count)));
        }

        return $starts;
    }

    /** @param array<int|float> $starts by operation, in whose order each machine takes its own */
    private function sequence(array $starts): void
    {
        foreach ($this->machines as $own) {
            usort($own, static fn (int $one, int $other): int => [$starts[$one], $one] <=> [$starts[$other], $other]);
            foreach ($own as $place => $at) {
                $this->machineBefore[$at] = $own[$place - 1] ?? self::NONE;
                $this->machineNext[$at] = $own[$place + 1] ?? self::NONE;
            }
        }
    }

    /** Longest ways from the beginning and to the end. */
    private function measure(): void
    {
        $waits = $order = [];
        foreach ($this->jobBefore as $at => $first) {
            $waits[$at] = (self::NONE !== $first ? 1 : 0) + (self::NONE !== $this->machineBefore[$at] ? 1 : 0);
            if (0 === $waits[$at]) {
                $order[] = $at;
            }
        }
        $head = $this->release;
        $minutes = $this->minutes;
        $jobNext = $this->jobNext;
        $machineNext = $this->machineNext;
        $place = 0;
        while (isset($order[$place])) {
            $at = $order[$place++];
            $end = $head[$at] + $minutes[$at];
            $next = $jobNext[$at];
            if (self::NONE !== $next) {
                if ($end > $head[$next]) {
                    $head[$next] = $end;
                }
                if (0 === --$waits[$next]) {
                    $order[] = $next;
                }
            }
            $next = $machineNext[$at];
            if (self::NONE !== $next) {
                if ($end > $head[$next]) {
                    $head[$next] = $end;
                }
                if (0 === --$waits[$next]) {
                    $order[] = $next;
                }
            }
        }
        $tail = [];
        $makespan = 0;
        for (--$place; $place >= 0; --$place) {
            $at = $order[$place];
            $long = 0;
            $next = $jobNext[$at];
            if (self::NONE !== $next) {
                $long = $tail[$next] + $minutes[$next];
            }
            $next = $machineNext[$at];
            if (self::NONE !== $next && $tail[$next] + $minutes[$next] > $long) {
                $long = $tail[$next] + $minutes[$next];
            }
            $tail[$at] = $long;
            if ($head[$at] + $minutes[$at] + $long > $makespan) {
                $makespan = $head[$at] + $minutes[$at] + $long;
            }
        }
        $this->head = $head;
        $this->tail = $tail;
        $this->makespan = $makespan;
    }

    /** @return list<non-empty-list<int>> stretches of one longest way that stand on one machine, of two operations or more */
    private function blocks(): array
    {
        $at = self::NONE;
        foreach ($this->tail as $one => $tail) {
            if ($this->head[$one] + $this->minutes[$one] + $tail === $this->makespan && $this->head[$one] === $this->release[$one] && !$this->isPushed($one)) {
                $at = $one;
                break;
            }
        }
        $blocks = [];
        $block = [];
        while (self::NONE !== $at) {
            $block[] = $at;
            $end = $this->head[$at] + $this->minutes[$at];
            $job = $this->jobNext[$at];
            $machine = $this->machineNext[$at];
            $onMachine = self::NONE !== $machine && $this->head[$machine] === $end && $end + $this->minutes[$machine] + $this->tail[$machine] === $this->makespan;
            $inJob = self::NONE !== $job && $this->head[$job] === $end && $end + $this->minutes[$job] + $this->tail[$job] === $this->makespan;
            if ($onMachine && (!$inJob || 0 === $this->dice->getInt(0, 1))) {
                $at = $machine;
                continue;
            }
            if (isset($block[1])) {
                $blocks[] = $block;
            }
            $block = [];
            $at = $inJob ? $job : self::NONE;
        }

        return $blocks;
    }

    private function isPushed(int $at): bool
    {
        $job = $this->jobBefore[$at];
        $machine = $this->machineBefore[$at];

        return (self::NONE !== $job && $this->head[$job] + $this->minutes[$job] === $this->head[$at]) || (self::NONE !== $machine && $this->head[$machine] + $this->minutes[$machine] === $this->head[$at]);
    }

    /** @return Move|null the one that looks best of those that are allowed; null where there is none at all */
    private function bestMove(): ?array
    {
        $best = null;
        $bestValue = \PHP_INT_MAX;
        $all = [];
        foreach ($this->blocks() as $block) {
            foreach (self::moves($block) as $move) {
                if (!$this->isSafe($move)) {
                    continue;
                }
                $all[] = $move;
                [$value, $isTabu] = $this->estimate($move);
                if ((!$isTabu || $value < $this->best) && ($value < $bestValue || ($value === $bestValue && 0 === $this->dice->getInt(0, 1)))) {
                    $best = $move;
                    $bestValue = $value;
                }
            }
        }

        return $best ?? ([] === $all ? null : $all[$this->dice->getInt(0, \count($all) - 1)]);
    }

    /**
     * What is inside a block to its front or its end, and what stands there into it (Zhang et al. 2007).
     *
     * @param non-empty-list<int> $block
     *
     * @return list<Move>
     */
    private static function moves(array $block): array
    {
        $end = \count($block) - 1;
        $moves = [[false, $block[0], $block[$end]]];
        if ($end > 1) {
            $moves[] = [true, $block[$end], $block[0]];
        }
        for ($place = 1; $place < $end; ++$place) {
            $moves[] = [true, $block[$place], $block[0]];
            $moves[] = [false, $block[$place], $block[$end]];
            if ($place > 1) {
                $moves[] = [false, $block[0], $block[$place]];
            }
            if ($place < $end - 1) {
                $moves[] = [true, $block[$end], $block[$place]];
            }
        }

        return $moves;
    }

    /**
     * That makes no circle, by their longest ways; what its own job does on the same machine stays before or after it.
     *
     * @param Move $move
     */
    private function isSafe(array $move): bool
    {
        [$isBack, $at, $to] = $move;
        if ($isBack) {
            $job = $this->jobBefore[$at];

            return self::NONE === $job || ($job !== $to && $this->head[$to] + $this->minutes[$to] >= $this->head[$job] + $this->minutes[$job]);
        }
        $job = $this->jobNext[$at];

        return self::NONE === $job || ($job !== $to && $this->tail[$to] + $this->minutes[$to] >= $this->tail[$job] + $this->minutes[$job]);
    }

    /**
     * The longest way through what is moved, as it would be, and whether it turns an arc back too soon.
     *
     * @param Move $move
     *
     * @return array{int, bool}
     */
    private function estimate(array $move): array
    {
        [$isBack, $at, $to] = $move;
        $isTabu = false;
        $order = [];
        if ($isBack) {
            $order[] = $at;
            for ($one = $to; $one !== $at; $one = $this->machineNext[$one]) {
                $order[] = $one;
                $isTabu = $isTabu || ($this->tabu[$at * $this->count + $one] ?? 0) > $this->iteration;
            }
            $before = $this->machineBefore[$to];
            $next = $this->machineNext[$at];
        } else {
            for ($one = $this->machineNext[$at]; true; $one = $this->machineNext[$one]) {
                $order[] = $one;
                $isTabu = $isTabu || ($this->tabu[$one * $this->count + $at] ?? 0) > $this->iteration;
                if ($one === $to) {
                    break;
                }
            }
            $order[] = $at;
            $before = $this->machineBefore[$at];
            $next = $this->machineNext[$to];
        }
        $end = self::NONE !== $before ? $this->head[$before] + $this->minutes[$before] : 0;
        $heads = [];
        foreach ($order as $place => $one) {
            $job = $this->jobBefore[$one];
            $head = self::NONE !== $job ? $this->head[$job] + $this->minutes[$job] : $this->release[$one];
            if ($end > $head) {
                $head = $end;
            }
            $heads[$place] = $head;
            $end = $head + $this->minutes[$one];
        }
        $longest = 0;
        $after = self::NONE !== $next ? $this->tail[$next] + $this->minutes[$next] : 0;
        for ($place = \count($order) - 1; $place >= 0; --$place) {
            $one = $order[$place];
            $job = $this->jobNext[$one];
            $tail = self::NONE !== $job ? $this->tail[$job] + $this->minutes[$job] : 0;
            if ($after > $tail) {
                $tail = $after;
            }
            $way = $heads[$place] + $this->minutes[$one] + $tail;
            if ($way > $longest) {
                $longest = $way;
            }
            $after = $tail + $this->minutes[$one];
        }

        return [$longest, $isTabu];
    }

    /** @param Move $move */
    private function make(array $move): void
    {
        [$isBack, $at, $to] = $move;
        $until = $this->iteration + $this->tenure + $this->dice->getInt(0, $this->tenure >> 1);
        if ($isBack) {
            for ($one = $to; $one !== $at; $one = $this->machineNext[$one]) {
                $this->tabu[$one * $this->count + $at] = $until;
            }
        } else {
            for ($one = $at; $one !== $to;) {
                $one = $this->machineNext[$one];
                $this->tabu[$at * $this->count + $one] = $until;
            }
        }
        $this->link($this->machineBefore[$at], $this->machineNext[$at]);
        if ($isBack) {
            $this->link($this->machineBefore[$to], $at);
            $this->link($at, $to);
        } else {
            $this->link($at, $this->machineNext[$to]);
            $this->link($to, $at);
        }
    }

    private function link(int $one, int $other): void
    {
        if (self::NONE !== $one) {
            $this->machineNext[$one] = $other;
        }
        if (self::NONE !== $other) {
            $this->machineBefore[$other] = $one;
        }
    }
}
