<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** What a plan is judged by. */
enum Objective: string
{
    /** Minutes until the last operation has ended. */
    case Makespan = 'makespan';

    /** Minutes past the promises, each with the weight of its job. */
    case WeightedTardiness = 'weighted_tardiness';
}
