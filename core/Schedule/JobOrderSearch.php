<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Looks for the order in which whole jobs are handed out: a late job is pulled forward, two change places. The plan as it
 * stood before each job is kept, so that a move costs only what lies between its two places; what is behind them is built
 * only where that looks well. What is worse is taken now and then (simulated annealing at a steady temperature), so
 * that a longer search never finds less than a shorter one.
 */
final class JobOrderSearch
{
    /** How far a job moves at most; how much worse, in shares of the best value, is taken one time in e; how much of that a part of the order may show (tried on made-up weeks of forty jobs). */
    private const FARTHEST = 6;
    private const TEMPERATURE = 0.015;
    private const SHOWN = 0.5;

    /** After so many moves without anything better the best is gone back to. */
    private const PATIENCE = 1500;

    private readonly Randomizer $dice;
    private readonly Instance $instance;

    /** @var array<Builder> by place, the plan before its job is put in */
    private array $before = [];

    /** @var array<int> by place, the cost of the jobs before it; one more for the end */
    private array $cost = [];

    /** @var array<int, int> by place, what its job costs */
    private array $own = [];

    private int $since = 0;

    /** @var list<int> */
    private array $bestOrder;
    private int $bestCost;

    /**
     * @param Builder   $base  what stands whatever the order
     * @param list<int> $order of jobs, two or more
     */
    public function __construct(private readonly Builder $base, private array $order, private readonly Incumbent $incumbent, int $seed)
    {
        $this->instance = $base->instance;
        $this->dice = new Randomizer(new Mt19937($seed));
        $this->bestOrder = $order;
        $this->startFrom($order);
        $this->bestCost = $this->total();
    }

    /** Makes so many moves. */
    public function run(int $moves): void
    {
        while ($moves-- > 0 && !$this->incumbent->steps->areSpent()) {
            $this->move();
            if (++$this->since > self::PATIENCE) {
                $this->since = 0;
                $this->startFrom($this->bestOrder);
            }
        }
    }

    /** @param list<int> $order */
    private function startFrom(array $order): void
    {
        $this->order = $order;
        $this->cost = [0];
        $plan = clone $this->base;
        $plan->table->steps = 0;
        foreach ($order as $place => $job) {
            $this->before[$place] = clone $plan;
            $this->own[$place] = $this->put($plan, $job);
            $this->cost[$place + 1] = $this->added($this->cost[$place], $this->own[$place]);
        }
        $this->incumbent->steps->spend($plan->table->steps);
    }

    private function total(): int
    {
        return $this->cost[\count($this->order)];
    }

    private function move(): void
    {
        [$from, $to] = $this->places();
        $this->incumbent->steps->spend(1);
        if ($from === $to) {
            return;
        }
        $order = $this->order;
        if ($this->dice->getInt(0, 9) < 8) {
            array_splice($order, $to, 0, array_splice($order, $from, 1));
        } else {
            [$order[$from], $order[$to]] = [$order[$to], $order[$from]];
            $order = array_values($order);
        }
        $first = min($from, $to);
        $last = max($from, $to);
        $allowed = (int) (-log(($this->dice->getInt(0, 999_999) + 1) / 1_000_000) * self::TEMPERATURE * min($this->bestCost, Instance::NEVER));
        $plan = clone $this->before[$first];
        $plan->table->steps = 0;
        $plan->table->turn = $this->dice->getInt(0, 5);
        $cost = [$first => $this->cost[$first]];
        $before = $own = [];
        $count = \count($order);
        for ($place = $first; $place < $count; ++$place) {
            $before[$place] = clone $plan;
            $own[$place] = $this->put($plan, $order[$place]);
            $cost[$place + 1] = $this->added($cost[$place], $own[$place]);
            $worse = $cost[$place + 1] - $this->cost[$place + 1];
            if ($place >= $last && $place < $count - 1 && $worse > ($place === $last ? 1 : 3) * self::SHOWN * $allowed) {
                $this->incumbent->steps->spend($plan->table->steps);

                return;
            }
        }
        $this->incumbent->steps->spend($plan->table->steps);
        if ($cost[$count] - $this->total() > $allowed) {
            return;
        }
        $this->order = $order;
        $this->before = array_replace($this->before, $before);
        $this->cost = array_replace($this->cost, $cost);
        $this->own = array_replace($this->own, $own);
        if ($this->total() < $this->bestCost) {
            $this->bestCost = $this->total();
            $this->bestOrder = $order;
            $this->since = 0;
        }
        $this->incumbent->offer($plan, $plan->rank());
    }

    /** @return array{int, int} the place of a job that is to move, mostly of one that costs much, and where to */
    private function places(): array
    {
        $most = \count($this->order) - 1;
        if (array_sum($this->own) > 0 && $this->dice->getInt(0, 9) < 6) {
            $place = Weighted::draw($this->dice, $this->own);

            return [$place, max(0, $place - $this->dice->getInt(1, self::FARTHEST))];
        }
        $from = $this->dice->getInt(0, $most);

        return [$from, max(0, min($most, $from + $this->dice->getInt(-self::FARTHEST, self::FARTHEST)))];
    }

    private function put(Builder $plan, int $job): int
    {
        $plan->build($this->instance->ofJob[$job]);

        return $plan->cost($job);
    }

    private function added(int $cost, int $own): int
    {
        return Objective::Makespan === $this->instance->problem->objective ? max($cost, $own) : $cost + $own;
    }
}
