<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** The answer of the open plan format, version 1 (docs/plan-format.md). */
final readonly class PlanFormat
{
    public const NAME = 'awake-shed/plan';
    public const VERSION = 1;

    private function __construct()
    {
    }

    /** @return array<string, mixed> ready for JSON */
    public static function write(Plan $plan, int $spentMilliseconds): array
    {
        $ends = $plan->ends();
        $late = $plan->late();

        return [
            'format' => self::NAME,
            'version' => self::VERSION,
            'objective' => $plan->problem->objective->value,
            'value' => $plan->value(),
            'makespan' => $plan->makespan(),
            'lower_bound' => $plan->lowerBound,
            'proved_best' => $plan->isProved,
            'operations' => array_map(static fn (Placed $one): array => ['id' => $one->operation->id, 'start' => $one->start, 'end' => $one->end, 'uses' => array_column($one->uses(), 0)], $plan->placed),
            'jobs' => array_map(static fn (PlanJob $one): array => ['id' => $one->id, 'ends' => $ends[$one->id] ?? null, 'late' => $late[$one->id] ?? null], $plan->problem->jobs),
            'unplanned' => array_map(static fn (array $one): array => ['id' => $one[0]->id, 'reason' => $one[1]->inWords()], $plan->unplanned),
            'spent_ms' => $spentMilliseconds,
        ];
    }
}
