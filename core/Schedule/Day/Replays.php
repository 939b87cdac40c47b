<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Placed;
use AwakeShed\Core\Schedule\Plan;
use AwakeShed\Core\Schedule\PlanJob;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A plan worked a thousand times with times as they fall: the same hands, the same order on everything shared, each
 * operation as soon as what it waits for is over and all it takes is there. Work begun before closing time is ended.
 */
final readonly class Replays
{
    public const RUNS = 1000;

    /** @var list<Placed> in order of their start */
    private array $placed;

    /** @var array<int, list<int>> by place, what must be over first: its predecessors, and what had the same hands before */
    private array $first;

    /** @var array<int, Openings> */
    private array $open;

    /** @var array<array-key, int> */
    private array $release;

    public function __construct(private Plan $plan)
    {
        $this->placed = $plan->placed;
        $this->release = array_column(array_map(static fn (PlanJob $job): array => [$job->id, $job->release], $plan->problem->jobs), 1, 0);
        $place = array_flip(array_map(static fn (Placed $one): string => $one->operation->id, $this->placed));
        $first = $open = $cycles = [];
        foreach ($this->placed as $at => $placed) {
            $first[$at] = array_values(array_filter(array_map(static fn (string $id): ?int => $place[$id] ?? null, $placed->operation->after), is_int(...)));
            $open[$at] = Openings::always();
        }
        foreach ($plan->problem->resources as $resource) {
            $lanes = [];
            foreach ($this->placed as $at => $placed) {
                if (!$placed->takes($resource->id)) {
                    continue;
                }
                $open[$at] = $open[$at]->and($resource->openings);
                if (null !== $resource->cycle) {
                    $cycles[$resource->id.' '.$placed->start][] = $at;
                }
                // It follows whatever left it room: of several units those that were free longest.
                $units = array_sum(array_map(static fn (array $one): int => $one[0] === $resource->id ? $one[1] : 0, $placed->uses()));
                for ($unit = 0; $unit < $units; ++$unit) {
                    $lane = null;
                    foreach ($lanes as $key => $last) {
                        $isFree = $this->placed[$last]->end <= $placed->start;
                        $lane = $isFree && (null === $lane || $this->placed[$last]->end < $this->placed[$lanes[$lane]]->end) ? $key : $lane;
                    }
                    if (null === $lane) {
                        $lanes[] = $at;
                    } else {
                        $first[$at][] = $lanes[$lane];
                        $lanes[$lane] = $at;
                    }
                }
            }
        }
        // What shares a cycle begins together: each waits for what any of them waits for.
        foreach ($cycles as $mates) {
            $all = array_values(array_unique(array_merge(...array_map(static fn (int $at): array => $first[$at], $mates))));
            foreach ($mates as $at) {
                $first[$at] = $all;
            }
        }
        $this->first = $first;
        $this->open = $open;
    }

    /**
     * @param array<array-key, float> $spread by operation, of the natural logarithm of its time; absent: it takes what is planned
     *
     * @return array<array-key, JobOdds> by job that is planned whole
     */
    public function run(array $spread, int $seed, int $runs = self::RUNS): array
    {
        $dice = new Randomizer(new Mt19937($seed));
        $jobs = array_keys($this->plan->ends());
        $due = array_column(array_map(static fn (PlanJob $job): array => [$job->id, $job->due], $this->plan->problem->jobs), 1, 0);
        $ends = $blame = [];
        for ($run = 0; $run < $runs; ++$run) {
            [$end, $cause, $longer] = $this->once($dice, $spread);
            $last = [];
            foreach ($this->placed as $at => $placed) {
                $job = $placed->operation->job;
                if (!isset($last[$job]) || $end[$at] > $end[$last[$job]]) {
                    $last[$job] = $at;
                }
            }
            foreach ($jobs as $job) {
                $ends[$job][] = $end[$last[$job]];
                if (null !== $due[$job] && $end[$last[$job]] > $due[$job]) {
                    $worst = $this->worst($last[$job], $cause, $longer);
                    $blame[$job][$worst] = ($blame[$job][$worst] ?? 0) + 1;
                }
            }
        }
        $odds = [];
        foreach ($jobs as $job) {
            $hangsOn = $blame[$job] ?? [];
            arsort($hangsOn);
            $odds[$job] = new JobOdds($ends[$job] ?? [], $due[$job], \array_slice(array_map(fn (int $at): string => $this->placed[$at]->operation->id, array_keys($hangsOn)), 0, 3));
        }

        return $odds;
    }

    /**
     * @param array<array-key, float> $spread
     *
     * @return array{array<int, int>, array<int, int|null>, array<int, int>} by place: its end, what it waited for last, minutes it took longer
     */
    private function once(Randomizer $dice, array $spread): array
    {
        /** @var array<int, int> $end */
        $end = [];
        $cause = $longer = [];
        foreach ($this->placed as $at => $placed) {
            $operation = $placed->operation;
            $from = max($this->release[$operation->job] ?? 0, $operation->pinned ?? 0, 0);
            $cause[$at] = null;
            foreach ($this->first[$at] as $one) {
                if ($end[$one] > $from) {
                    $from = $end[$one];
                    $cause[$at] = $one;
                }
            }
            $minutes = $operation->minutes;
            $sigma = $spread[$operation->id] ?? 0.0;
            if ($sigma > 0.0) {
                $minutes = max(1, (int) round($minutes * exp($sigma * self::normal($dice))));
            }
            $longer[$at] = $minutes - $operation->minutes;
            $fits = $this->open[$at]->firstStart($from, $operation->minutes, $operation->splits) ?? $from;
            $planned = $this->open[$at]->endOf($fits, $operation->splits ? $minutes : $operation->minutes, $operation->splits);
            $end[$at] = $operation->splits && null !== $planned ? $planned : $fits + $minutes;
        }

        return [$end, $cause, $longer];
    }

    /**
     * Of what one thing after another waited for, that which took most longer than planned.
     *
     * @param array<int, int|null> $cause
     * @param array<int, int>      $longer
     */
    private function worst(int $at, array $cause, array $longer): int
    {
        $worst = $at;
        for ($one = $at; null !== $one; $one = $cause[$one]) {
            $worst = $longer[$one] > $longer[$worst] ? $one : $worst;
        }

        return $worst;
    }

    /** Evenly spread about nothing, as chance does (Box and Muller 1958). */
    private static function normal(Randomizer $dice): float
    {
        $one = ($dice->getInt(0, 999_999) + 1) / 1_000_000;

        return sqrt(-2 * log($one)) * cos(2 * \M_PI * $dice->getInt(0, 999_999) / 1_000_000);
    }
}
