<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

use AwakeShed\Core\Schedule\Mender;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\Plan;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\SharedResource;

/**
 * What would save what is late: each way out is planned anew with it, and worth what it takes off. Not guessed, and not
 * added up: two of them together may bring less.
 */
final readonly class Saving
{
    private const HOUR = 60;
    private const DAY = 1440;

    /**
     * @param string       $what  hour, unit, part or drop
     * @param string       $whose the person, resource or job
     * @param int          $saved weighted minutes past all promises that it takes off
     * @param list<string> $kept  jobs whose promises are kept with it and are not without
     */
    private function __construct(public string $what, public string $whose, public int $saved, public array $kept)
    {
    }

    /**
     * @param list<string> $waiting jobs that wait for a part or a word, and could go on a day sooner
     *
     * @return list<self> those that bring anything, the most first
     */
    public static function of(Plan $plan, array $waiting): array
    {
        $problem = $plan->problem;
        $ways = [];
        foreach ($problem->resources as $at => $resource) {
            if ($resource->isPerson && null !== $resource->openings->stretches) {
                $ways[] = ['hour', $resource->id, self::with($problem, $at, new SharedResource($resource->id, true, $resource->capacity, self::anHourMore($resource->openings), $resource->cycle))];
            } elseif (!$resource->isPerson) {
                $ways[] = ['unit', $resource->id, self::with($problem, $at, new SharedResource($resource->id, false, $resource->capacity + 1, $resource->openings, $resource->cycle))];
            }
        }
        $late = array_filter($plan->late(), static fn (int $one): bool => $one > 0);
        foreach ($problem->jobs as $job) {
            if (\in_array($job->id, $waiting, true)) {
                $ways[] = ['part', $job->id, $problem->changed(jobs: array_map(static fn (PlanJob $one): PlanJob => $one->id === $job->id ? new PlanJob($one->id, $one->due, $one->weight, max(0, $one->release - self::DAY)) : $one, $problem->jobs))];
            }
            if (isset($late[$job->id])) {
                $ways[] = ['drop', $job->id, self::without($problem, $job->id)];
            }
        }
        $savings = [];
        foreach ($ways as [$what, $whose, $changed]) {
            $with = Mender::mend($changed, $plan);
            // A job that is dropped is not saved by being gone.
            $own = 'drop' === $what ? self::weight($problem, $whose) * ($late[$whose] ?? 0) : 0;
            $saved = $plan->tardiness() - $own - $with->tardiness();
            $kept = array_values(array_filter(array_map(strval(...), array_keys($late)), static fn (string $job): bool => $job !== $whose && 0 === ($with->late()[$job] ?? null)));
            if ($saved > 0) {
                $savings[] = new self($what, $whose, $saved, $kept);
            }
        }
        usort($savings, static fn (self $one, self $other): int => [$other->saved, $one->what, $one->whose] <=> [$one->saved, $other->what, $other->whose]);

        return $savings;
    }

    private static function with(Problem $problem, int $at, SharedResource $changed): Problem
    {
        $resources = $problem->resources;
        $resources[$at] = $changed;

        return $problem->changed(resources: array_values($resources));
    }

    private static function without(Problem $problem, string $job): Problem
    {
        $operations = array_filter($problem->asWritten(), static fn (Operation $one): bool => $one->job !== $job);
        $left = array_map(static fn (Operation $one): string => $one->id, $operations);
        $freed = array_map(static fn (Operation $one): Operation => new Operation($one->id, $one->job, $one->minutes, $one->uses, $one->oneOf, array_values(array_intersect($one->after, $left)), [] === array_intersect($one->after, $left) ? null : $one->atMostAfter, $one->pinned, $one->splits, $one->batchKey), $operations);

        return $problem->changed(jobs: array_values(array_filter($problem->jobs, static fn (PlanJob $one): bool => $one->id !== $job)), operations: array_values($freed));
    }

    /** The first day that has not closed yet closes an hour later. */
    private static function anHourMore(Openings $openings): Openings
    {
        $stretches = $openings->stretches ?? [];
        $ends = [];
        foreach ($stretches as [, $to]) {
            $ends[intdiv($to, self::DAY)] = $to;
        }
        $first = reset($ends);

        return false === $first ? $openings : Openings::of([...$stretches, [$first, $first + self::HOUR]]);
    }

    private static function weight(Problem $problem, string $job): int
    {
        foreach ($problem->jobs as $one) {
            if ($one->id === $job) {
                return $one->weight;
            }
        }

        return 0;
    }
}
