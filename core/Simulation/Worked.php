<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

/** How one machine was worked. */
final readonly class Worked
{
    /**
     * @param float $minutes  of tests
     * @param int   $tests    made in that time
     * @param int   $needless cures of what was not there
     * @param bool  $found    whether it ended with what was sought
     */
    public function __construct(public float $minutes, public int $tests, public int $needless, public bool $found)
    {
    }
}
