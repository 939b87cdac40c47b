<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** Who does what when, and what of it comes to nothing. */
final readonly class Plan
{
    /**
     * @param list<Placed>                   $placed     in order of their start
     * @param list<array{Operation, WhyNot}> $unplanned  in order of their ids
     * @param int                            $lowerBound no plan of this problem is worth less
     * @param bool                           $isProved   none is better: its value meets the bound, or everything was tried
     */
    public function __construct(public Problem $problem, public array $placed, public array $unplanned, public int $lowerBound = 0, public bool $isProved = false)
    {
    }

    public function makespan(): int
    {
        return max([0, ...array_map(static fn (Placed $one): int => $one->end, $this->placed)]);
    }

    /** @return array<array-key, int> by job that is planned whole, the minute its last operation ends */
    public function ends(): array
    {
        $ends = $open = [];
        foreach ($this->unplanned as [$operation]) {
            $open[$operation->job] = true;
        }
        foreach ($this->placed as $placed) {
            $job = $placed->operation->job;
            if (!isset($open[$job])) {
                $ends[$job] = max($ends[$job] ?? 0, $placed->end);
            }
        }

        return $ends;
    }

    /** @return array<array-key, int> by job that is planned whole, the minutes past its promise */
    public function late(): array
    {
        $late = [];
        $ends = $this->ends();
        foreach ($this->problem->jobs as $job) {
            if (isset($ends[$job->id])) {
                $late[$job->id] = null === $job->due ? 0 : max(0, $ends[$job->id] - $job->due);
            }
        }

        return $late;
    }

    /** Weighted minutes past the promises of the jobs planned whole. */
    public function tardiness(): int
    {
        $value = 0;
        $late = $this->late();
        foreach ($this->problem->jobs as $job) {
            $value += $job->weight * ($late[$job->id] ?? 0);
        }

        return $value;
    }

    /** What it is judged by; less is better. */
    public function value(): int
    {
        return match ($this->problem->objective) {
            Objective::Makespan => $this->makespan(),
            Objective::WeightedTardiness => $this->tardiness(),
        };
    }

    public function of(string $operation): ?Placed
    {
        foreach ($this->placed as $placed) {
            if ($placed->operation->id === $operation) {
                return $placed;
            }
        }

        return null;
    }
}
