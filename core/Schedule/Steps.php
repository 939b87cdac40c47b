<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * How much searching may still be done, counted in the search's own steps and not by a clock: the same budget gives the
 * same plan on every machine, a larger one the same and more.
 */
final class Steps
{
    /** Steps to a millisecond: one puts one operation somewhere. Two thousand milliseconds of them are over in that time on a slow core (measured by bin/bench). */
    private const PER_MILLISECOND = 75;

    private int $left;

    public function __construct(int $milliseconds)
    {
        $this->left = $milliseconds * self::PER_MILLISECOND;
    }

    public function spend(int $steps): void
    {
        $this->left -= $steps;
    }

    public function areSpent(): bool
    {
        return $this->left <= 0;
    }
}
