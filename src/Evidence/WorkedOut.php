<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

/** A calculation made for a job, by what it was told: what it says can be worked out again at any time. */
final readonly class WorkedOut
{
    /**
     * @param string               $calculation by which it is called
     * @param array<string, mixed> $in          as the command line takes them
     */
    public function __construct(public string $calculation, public array $in)
    {
    }
}
