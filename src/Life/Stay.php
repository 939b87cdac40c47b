<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Job\Job;
use AwakeShed\Core\Units\Duration;

/** One stay of a machine, and what it teaches. */
final readonly class Stay
{
    /**
     * @param list<string> $cured    faults
     * @param Duration     $work     as its record reckons it
     * @param list<string> $settings holes, turns, bores and speeds that were written down, each with what it is of
     */
    public function __construct(public Job $job, public array $cured, public Duration $work, public array $settings)
    {
    }
}
