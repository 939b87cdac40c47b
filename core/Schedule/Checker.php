<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * Looks whether a plan can be worked as it stands. It shares nothing with what makes plans: operation by operation, and
 * of every resource from event to event.
 */
final readonly class Checker
{
    private function __construct()
    {
    }

    /** @return list<array{Operation, Fault}> in order of the plan */
    public static function faults(Plan $plan): array
    {
        $at = [];
        foreach ($plan->placed as $placed) {
            $at[$placed->operation->id] = $placed;
        }
        $jobs = array_column(array_map(static fn (PlanJob $one): array => [$one->id, $one], $plan->problem->jobs), 1, 0);
        $resources = array_column(array_map(static fn (SharedResource $one): array => [$one->id, $one], $plan->problem->resources), 1, 0);
        $faults = [];
        foreach ($plan->placed as $placed) {
            $faults = [...$faults, ...self::ofOne($placed, $at, $jobs[$placed->operation->job], $resources)];
        }
        foreach ($plan->problem->resources as $resource) {
            $takers = array_values(array_filter($plan->placed, static fn (Placed $one): bool => $one->takes($resource->id)));
            $faults = [...$faults, ...(null === $resource->cycle ? self::overCapacity($resource, $takers) : self::cycles($resource, $takers))];
        }

        return $faults;
    }

    /**
     * @param array<array-key, Placed>         $at
     * @param array<array-key, SharedResource> $resources
     *
     * @return list<array{Operation, Fault}>
     */
    private static function ofOne(Placed $placed, array $at, PlanJob $job, array $resources): array
    {
        $operation = $placed->operation;
        $faults = [];
        if ($placed->start < max(0, $job->release)) {
            $faults[] = [$operation, Fault::BeforeRelease];
        }
        $last = null;
        foreach ($operation->after as $first) {
            if (!isset($at[$first])) {
                $faults[] = [$operation, Fault::PredecessorUnplanned];
                continue;
            }
            $last = max($last ?? 0, $at[$first]->end);
            if ($at[$first]->end > $placed->start) {
                $faults[] = [$operation, Fault::BeforePredecessor];
            }
        }
        if (null !== $operation->atMostAfter && null !== $last && $placed->start - $last > $operation->atMostAfter) {
            $faults[] = [$operation, Fault::WaitsTooLong];
        }
        if (null !== $operation->pinned && $operation->pinned !== $placed->start) {
            $faults[] = [$operation, Fault::NotAtItsPin];
        }
        // The minutes in which everything it takes is open, one after the other.
        $open = [[$placed->start, $placed->end]];
        foreach ($placed->uses() as [$id]) {
            $both = [];
            foreach ($open as [$from, $to]) {
                foreach ($resources[$id]->openings->stretches ?? [[$from, $to]] as [$begins, $ends]) {
                    if (max($from, $begins) < min($to, $ends)) {
                        $both[] = [max($from, $begins), min($to, $ends)];
                    }
                }
            }
            $open = $both;
        }
        $worked = array_sum(array_map(static fn (array $one): int => $one[1] - $one[0], $open));
        if ($worked !== $operation->minutes) {
            $faults[] = [$operation, Fault::NotItsMinutes];
        }
        $isWhole = $placed->end - $placed->start === $worked;
        if (!$isWhole && (!$operation->splits || [] === $open || $open[0][0] !== $placed->start || $open[\count($open) - 1][1] !== $placed->end)) {
            $faults[] = [$operation, Fault::Closed];
        }

        return $faults;
    }

    /**
     * @param list<Placed> $takers
     *
     * @return list<array{Operation, Fault}>
     */
    private static function overCapacity(SharedResource $resource, array $takers): array
    {
        $faults = [];
        foreach ($takers as $placed) {
            // Use is highest where something begins.
            $units = 0;
            foreach ($takers as $other) {
                $units += $other->start <= $placed->start && $other->end > $placed->start ? array_sum(array_map(static fn (array $one): int => $one[0] === $resource->id ? $one[1] : 0, $other->uses())) : 0;
            }
            if ($units > $resource->capacity) {
                $faults[] = [$placed->operation, Fault::OverCapacity];
            }
        }

        return $faults;
    }

    /**
     * @param list<Placed> $takers
     *
     * @return list<array{Operation, Fault}>
     */
    private static function cycles(SharedResource $resource, array $takers): array
    {
        $faults = [];
        foreach ($takers as $placed) {
            $units = 0;
            foreach ($takers as $other) {
                if ($other->start >= $placed->end || $other->end <= $placed->start) {
                    continue;
                }
                if ($other->start !== $placed->start || $other->end !== $placed->end || $other->operation->batchKey !== $placed->operation->batchKey) {
                    $faults[] = [$placed->operation, Fault::OtherCycle];
                }
                $units += array_sum(array_map(static fn (array $one): int => $one[0] === $resource->id ? $one[1] : 0, $other->uses()));
            }
            if ($units > $resource->capacity) {
                $faults[] = [$placed->operation, Fault::OverCapacity];
            }
        }

        return $faults;
    }
}
