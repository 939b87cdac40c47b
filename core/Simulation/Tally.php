<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

/** Machines worked in one order, and what that took on the average. */
final class Tally
{
    public int $machines = 0;
    private float $minutes = 0.0;
    private int $tests = 0;
    private int $needless = 0;
    private int $found = 0;

    public function add(Worked $worked): void
    {
        ++$this->machines;
        $this->minutes += $worked->minutes;
        $this->tests += $worked->tests;
        $this->needless += $worked->needless;
        $this->found += (int) $worked->found;
    }

    public function meanMinutes(): float
    {
        return $this->minutes / max(1, $this->machines);
    }

    public function meanTests(): float
    {
        return $this->tests / max(1, $this->machines);
    }

    /** @return float cures of what was not there, a machine */
    public function meanNeedless(): float
    {
        return $this->needless / max(1, $this->machines);
    }

    /** @return float share that ended with what was sought */
    public function shareFound(): float
    {
        return $this->found / max(1, $this->machines);
    }
}
