<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * Hands out operations from minute to minute: whatever can begin first does, of several the most urgent (the parallel
 * scheme of construction, Kolisch 1996). Starts only move later as others are put down, so one that was reckoned earlier
 * is looked at again when its turn comes.
 */
final readonly class Parallel
{
    /** So often one is put back into line. */
    private const TRIES = 20;

    private function __construct()
    {
    }

    /**
     * Puts down what is not yet.
     *
     * @param array<int, int> $urgency place in line by job, 0 the most urgent
     */
    public static function build(Builder $plan, array $urgency): void
    {
        $instance = $plan->instance;
        $table = $plan->table;
        /** @var \SplMinHeap<array{int, int, int}> $next start, place in line, operation */
        $next = new \SplMinHeap();
        $waits = $tries = [];
        foreach ($instance->order as $at) {
            $waits[$at] = \count(array_filter($instance->before[$at], static fn (int $first): bool => Timetable::UNPLACED === $table->start[$first]));
            if (0 === $waits[$at] && Timetable::UNPLACED === $table->start[$at]) {
                $next->insert([$plan->readyAt($at), $urgency[$instance->job[$at]], $at]);
            }
        }
        while (!$next->isEmpty()) {
            [$start, $place, $at] = $next->extract();
            if (!$plan->insert($at)) {
                continue;
            }
            $found = $table->start[$at];
            // What may not wait moves what comes before it each time it is tried: it is not tried for ever.
            if ($found > $start && !$next->isEmpty() && $found > $next->top()[0] && ($tries[$at] = ($tries[$at] ?? 0) + 1) <= self::TRIES) {
                $plan->takeOut($at);
                $next->insert([$found, $place, $at]);
                continue;
            }
            foreach ($instance->next[$at] as $one) {
                if (isset($waits[$one]) && 0 === --$waits[$one] && Timetable::UNPLACED === $table->start[$one]) {
                    $next->insert([$plan->readyAt($one), $urgency[$instance->job[$one]], $one]);
                }
            }
        }
    }
}
