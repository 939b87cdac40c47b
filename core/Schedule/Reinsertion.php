<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A large-neighbourhood search operation by operation: a late job and some of what stands in its way are taken out of the
 * plan and put back as early as there is room, the late one first. A little worse than the best is taken (record-to-record
 * travel, Dueck 1993).
 */
final class Reinsertion
{
    /** How much worse than the best, in shares of it, is taken at most, and how many jobs are taken out beside the late one. */
    private const MARGIN = 0.1;
    private const MOST_OTHERS = 4;

    /** Minutes before the wait of a late operation in which others are in its way, too. */
    private const BEFORE_THE_WAIT = 60;

    /** Operations that are looked at in the time one is put somewhere (measured). */
    private const LOOKED_AT = 40;

    /** After so many moves without anything better the best is gone back to. */
    private const PATIENCE = 400;

    private readonly Randomizer $dice;
    private readonly Instance $instance;
    private Builder $now;

    /** @var array{int, int, int} */
    private array $rank;
    private int $since = 0;

    public function __construct(private readonly Incumbent $incumbent, int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
        $this->instance = $incumbent->best->instance;
        $this->goBack();
    }

    /** Makes so many moves, from the best plan on. */
    public function run(int $moves): void
    {
        $this->goBack();
        while ($moves-- > 0 && !$this->incumbent->steps->areSpent()) {
            $plan = clone $this->now;
            $plan->table->steps = 0;
            $plan->table->turn = $this->dice->getInt(0, 5);
            $this->move($plan);
            $this->incumbent->steps->spend($plan->table->steps + 1 + intdiv($this->instance->count, self::LOOKED_AT));
            $rank = $plan->rank();
            if ($this->incumbent->offer($plan, $rank)) {
                $this->pushUp($plan);
                $this->goBack();
                continue;
            }
            if ($rank <= $this->rank || $this->isNearBest($rank)) {
                $this->now = $plan;
                $this->rank = $rank;
            }
            if (++$this->since > self::PATIENCE) {
                $this->goBack();
            }
        }
    }

    private function goBack(): void
    {
        $this->now = $this->incumbent->best;
        $this->rank = \array_slice($this->incumbent->rank, 0, 3);
        $this->since = 0;
    }

    /** @param array{int, int, int} $rank */
    private function isNearBest(array $rank): bool
    {
        $margin = $this->incumbent->rank[1] * self::MARGIN * ($this->dice->getInt(0, 1000) / 1000) ** 3;

        return $rank[0] <= $this->incumbent->rank[0] && $rank[1] <= $this->incumbent->rank[1] + $margin;
    }

    private function move(Builder $plan): void
    {
        $job = $this->lateJob();
        $taken = [$job, ...$this->inTheWay($job, $this->dice->getInt(1, self::MOST_OTHERS))];
        foreach ($taken as $one) {
            $plan->takeOutJob($one);
        }
        $operations = array_merge(...array_map(fn (int $one): array => $this->instance->ofJob[$one], $taken));
        if (0 === $this->dice->getInt(0, 3)) {
            $operations = [] === $operations ? [] : $this->dice->shuffleArray($operations);
        }
        foreach (0 === $this->dice->getInt(0, 2) ? $operations : [] as $at) {
            if (\count($this->instance->ways[$at]) > 1 && 0 === $this->dice->getInt(0, 2)) {
                $plan->wish[$at] = array_keys($this->instance->ways[$at])[$this->dice->getInt(0, \count($this->instance->ways[$at]) - 1)];
            }
        }
        $plan->build($operations);
        $plan->wish = [];
        // What waited for something that was taken out went with it.
        $plan->build($this->instance->order);
    }

    private function lateJob(): int
    {
        $late = $this->now->costs();
        if ([] !== $late && $this->dice->getInt(0, 9) > 0) {
            return Weighted::draw($this->dice, $late);
        }

        return $this->dice->getInt(0, \count($this->instance->ofJob) - 1);
    }

    /** @return list<int> jobs that take what one waits for while it waits, so many at most */
    private function inTheWay(int $job, int $most): array
    {
        $table = $this->now->table;
        $found = [];
        foreach ([] === $this->instance->ofJob[$job] ? [] : $this->dice->shuffleArray($this->instance->ofJob[$job]) as $at) {
            $start = $table->start[$at];
            $ready = $this->now->readyAt($at);
            foreach ($start > $ready ? $this->instance->shared[$at] : [] as $resource) {
                foreach ($this->instance->takers[$resource] as $other) {
                    if ($table->start[$other] < $start && $table->end[$other] > $ready - self::BEFORE_THE_WAIT && $this->instance->job[$other] !== $job) {
                        $found[$this->instance->job[$other]] = true;
                    }
                }
            }
            if (\count($found) >= $most) {
                break;
            }
        }

        return [] === $found ? [] : \array_slice($this->dice->shuffleArray(array_keys($found)), 0, $most);
    }

    /** What is left over by a move is filled by whatever comes after it. */
    private function pushUp(Builder $plan): void
    {
        $order = $this->instance->order;
        usort($order, static fn (int $one, int $other): int => $plan->table->start[$one] <=> $plan->table->start[$other]);
        $again = $plan->emptied();
        $again->table->steps = 0;
        $again->build($order);
        $this->incumbent->steps->spend($again->table->steps);
        $this->incumbent->offer($again, $again->rank());
    }
}
