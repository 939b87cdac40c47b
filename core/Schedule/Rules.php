<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** Orders in which operations are handed out: rules of priority, none of which is best for every shop. */
final readonly class Rules
{
    /** How far ahead the apparent cost of tardiness looks, in mean jobs (common practice of that rule: half a job to four). */
    private const LOOK_AHEAD = [0.5, 1.0, 2.0, 4.0];

    /** Above it looking at each job for each place takes longer than it is worth. */
    private const MANY_JOBS = 1500;

    /** @var array<int> by job, minutes of work that take something shared */
    private array $work;

    public function __construct(private Instance $instance)
    {
        $work = [];
        foreach ($instance->ofJob as $job => $own) {
            $work[$job] = 1;
            foreach ($own as $at) {
                $ways = $instance->ways[$at];
                $work[$job] += [] === reset($ways) ? 0 : $instance->minutes[$at];
            }
        }
        $this->work = $work;
    }

    /** @return iterable<string, list<int>> by the name of the rule, jobs, the most urgent first; those that cannot be whole last */
    public function all(): iterable
    {
        $jobs = $this->instance->problem->jobs;
        yield 'earliest due' => $this->sorted(static fn (int $job): float => (float) ($jobs[$job]->due ?? \INF));
        yield 'weighted shortest' => $this->sorted(fn (int $job): float => $this->work[$job] / max(0.001, $jobs[$job]->weight));
        yield 'least slack' => $this->sorted(fn (int $job): float => null === $jobs[$job]->due ? \INF : ($jobs[$job]->due - $this->work[$job]) / max(1, $jobs[$job]->weight));
        yield 'earliest release' => $this->sorted(static fn (int $job): float => $jobs[$job]->release);
        foreach (\count($jobs) > self::MANY_JOBS ? [] : self::LOOK_AHEAD as $ahead) {
            yield 'apparent cost '.$ahead => $this->apparentCost($ahead);
        }
    }

    /**
     * The weighted rule of the apparent cost of tardiness (Vepsalainen and Morton 1987): weight by work, discounted by the
     * slack that is left when its turn comes.
     *
     * @return list<int>
     */
    private function apparentCost(float $ahead): array
    {
        $jobs = $this->instance->problem->jobs;
        $people = max(1, \count(array_filter($this->instance->problem->resources, static fn (SharedResource $one): bool => $one->isPerson)));
        $mean = array_sum($this->work) / max(1, \count($this->work)) * $ahead;
        $left = array_keys($this->work);
        $now = 0.0;
        $order = [];
        while ([] !== $left) {
            $best = array_key_first($left);
            $bestCost = -\INF;
            foreach ($left as $place => $job) {
                $slack = max(0.0, ($jobs[$job]->due ?? 1e9) - $this->work[$job] - $now) + max(0.0, $jobs[$job]->release - $now);
                $cost = (float) $this->instance->isWhole[$job] * $jobs[$job]->weight / $this->work[$job] * exp(-$slack / $mean);
                if ($cost > $bestCost) {
                    [$best, $bestCost] = [$place, $cost];
                }
            }
            $order[] = $left[$best];
            $now += $this->work[$left[$best]] / $people;
            unset($left[$best]);
        }

        return $order;
    }

    /**
     * @param \Closure(int): (float|int) $key
     *
     * @return list<int>
     */
    private function sorted(\Closure $key): array
    {
        $keys = [];
        foreach (array_keys($this->work) as $job) {
            $keys[$job] = [!$this->instance->isWhole[$job], $key($job), $job];
        }
        asort($keys);

        return array_keys($keys);
    }
}
