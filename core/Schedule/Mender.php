<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * Mends a plan when the day has changed: what is to be done is done in the order and by the hands it was planned, later
 * where it must be; only what is worth the change is moved.
 */
final readonly class Mender
{
    /** Milliseconds' worth of steps: mending is waited for. */
    private const BUDGET = 60;

    private function __construct()
    {
    }

    public static function mend(Problem $problem, Plan $former): Plan
    {
        $instance = new Instance($problem);
        $base = Pins::settle($instance);
        $base->build($instance->beforePins());
        $was = array_column(array_map(static fn (Placed $one): array => [$one->operation->id, $one], $former->placed), 1, 0);
        $known = $new = [];
        foreach ($instance->order as $at) {
            $placed = $was[$problem->operations[$at]->id] ?? null;
            if (null === $placed) {
                $new[] = $at;
                continue;
            }
            $known[$at] = $placed->start;
            foreach ($instance->ways[$at] as $way => $uses) {
                if ($problem->operations[$at]->ways()[$way] === $placed->uses()) {
                    $base->wish[$at] = $way;
                }
            }
        }
        asort($known);
        $plan = clone $base;
        $plan->build(array_keys($known));
        $plan->build($new);
        $plan->wish = [];
        $kept = array_filter(array_intersect_key($plan->table->start, $known), static fn (int $start): bool => Timetable::UNPLACED !== $start);
        $incumbent = new Incumbent($plan, new Steps(self::BUDGET), new Former($kept, array_intersect_key($plan->table->way, $kept)));
        if ([] !== array_filter($instance->order, static fn (int $at): bool => null === $instance->pin[$at])) {
            (new Reinsertion($incumbent, $problem->seed))->run(\PHP_INT_MAX);
        }

        return Planner::finished($incumbent->best, LowerBound::of($instance), false);
    }
}
