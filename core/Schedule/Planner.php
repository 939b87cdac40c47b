<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * Plans: rules of priority first, then everything where there is little of it, then a search as long as the budget lasts.
 * Nothing is thrown for what cannot be planned; it is listed with its reason, and the rest is planned.
 */
final readonly class Planner
{
    /** Moves of one search before it is the other's turn. */
    private const BY_JOB = 300;
    private const BY_OPERATION = 60;

    /** Where nothing is late, so much searching is enough for a shorter day. */
    private const POLISHING = 20;

    /** Jobs times operations up to which the plan as it stood before each job is kept in mind. */
    private const MOST_KEPT = 100_000;

    private function __construct()
    {
    }

    public static function plan(Problem $problem): Plan
    {
        $instance = new Instance($problem);
        $base = Pins::settle($instance);
        $base->build($instance->beforePins());
        $steps = new Steps($problem->budget);
        [$incumbent, $order] = self::start($instance, $base, $steps);
        $bound = LowerBound::of($instance);
        $isProved = Exhaustive::search($base, $incumbent);
        if (!$isProved && JobShop::is($instance)) {
            JobShop::search($instance, $incumbent, $bound, $problem->seed);
        } elseif (!$isProved && [] !== array_filter($instance->order, static fn (int $at): bool => null === $instance->pin[$at])) {
            self::search($base, $order, $incumbent, $bound, $problem->seed);
        }

        return self::finished($incumbent->best, $bound, $isProved);
    }

    /** @return array{Incumbent, list<int>} the best of the rules, and its order of jobs */
    private static function start(Instance $instance, Builder $base, Steps $steps): array
    {
        $best = null;
        $bestOrder = [];
        foreach ((new Rules($instance))->all() as $order) {
            // From minute to minute is good for a short day, and bad for promises (tried on made-up weeks).
            foreach (Objective::Makespan === $instance->problem->objective ? [false, true] : [false] as $isParallel) {
                $plan = clone $base;
                $plan->table->steps = 0;
                if ($isParallel) {
                    Parallel::build($plan, array_flip($order));
                } else {
                    $plan->build(array_merge(...array_map(static fn (int $job): array => $instance->ofJob[$job], $order)));
                }
                $steps->spend($plan->table->steps);
                if (null === $best) {
                    $best = new Incumbent($plan, $steps);
                    $bestOrder = $order;
                } elseif ($best->offer($plan, $plan->rank())) {
                    $bestOrder = $order;
                }
            }
            if ($steps->areSpent()) {
                break;
            }
        }
        if (null === $best) {
            throw new \LogicException('There is no rule of priority.');
        }

        return [$best, $bestOrder];
    }

    /** @param list<int> $order of jobs */
    private static function search(Builder $base, array $order, Incumbent $incumbent, int $bound, int $seed): void
    {
        $isSmall = \count($order) > 1 && \count($order) * $base->instance->count <= self::MOST_KEPT;
        $byJob = $isSmall ? new JobOrderSearch($base, $order, $incumbent, $seed) : null;
        $byOperation = new Reinsertion($incumbent, $seed);
        $rounds = 0;
        while (!$incumbent->steps->areSpent()) {
            if ([0, $bound] === [$incumbent->rank[0], $incumbent->rank[1]] && ++$rounds > self::POLISHING) {
                return;
            }
            $byJob?->run(self::BY_JOB);
            $byOperation->run(self::BY_OPERATION);
        }
    }

    /** What found no room as a whole is planned as far as it goes. */
    public static function finished(Builder $plan, int $bound, bool $isProved): Plan
    {
        $instance = $plan->instance;
        $isShort = [] !== $plan->lost;
        $why = $instance->unplannable;
        $plan->fill();
        $placed = $unplanned = [];
        foreach ($instance->problem->operations as $at => $operation) {
            if (Timetable::UNPLACED !== $plan->table->start[$at]) {
                $placed[] = new Placed($operation, $plan->table->start[$at], $plan->table->end[$at], $plan->table->way[$at]);
                continue;
            }
            $waits = array_filter($instance->before[$at], static fn (int $first): bool => Timetable::UNPLACED === $plan->table->start[$first]);
            $unplanned[] = [$operation, $why[$at] ?? ([] === $waits ? $plan->why($at) : WhyNot::FollowsUnplanned)];
        }
        usort($placed, static fn (Placed $one, Placed $other): int => [$one->start, $one->end, Problem::inOrder($one->operation->id, $other->operation->id)] <=> [$other->start, $other->end, 0]);
        // A bound for all jobs is none for those that found room.
        $done = new Plan($instance->problem, $placed, $unplanned, $isShort || ([] !== $instance->unplannable && Objective::Makespan !== $instance->problem->objective) ? 0 : $bound);
        $isProved = ($isProved && !$isShort) || $done->value() === $done->lowerBound;

        return new Plan($instance->problem, $placed, $unplanned, $isProved ? $done->value() : $done->lowerBound, $isProved);
    }
}
