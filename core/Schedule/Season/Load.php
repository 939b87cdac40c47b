<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Season;

use AwakeShed\Core\Units\Edge;

/**
 * Weeks of work against weeks of hours: what is in the shed, what comes, who is there. Work is done in the order it came,
 * as far as a week's hours go.
 */
final readonly class Load
{
    /**
     * @param float       $backlog hours of hands that what is in the shed still takes, 0 or more
     * @param list<float> $coming  hours that come in each week ahead
     * @param list<float> $hours   hours of hands there are in each of them
     */
    public function __construct(private float $backlog, private array $coming, private array $hours)
    {
    }

    /** @return list<float> hours of work left over at the end of each week */
    public function leftOver(): array
    {
        $left = [];
        $open = $this->backlog;
        foreach ($this->hours as $week => $hours) {
            $open = max(0.0, $open + ($this->coming[$week] ?? 0.0) - $hours);
            $left[] = $open;
        }

        return $left;
    }

    /** @return int|null the week, 0 the first, by whose end what comes in one is done; null where it is beyond what is looked at */
    public function doneIn(int $week): ?int
    {
        // What came before it, and with it, is done first.
        $open = $this->backlog + array_sum(\array_slice($this->coming, 0, $week + 1));
        foreach ($this->hours as $place => $hours) {
            $open -= $hours;
            if (Edge::isAtMost($open, 0.0) && $place >= $week) {
                return $place;
            }
        }

        return null;
    }

    /** @return int|null the last week in which what comes is still done by the end of another; null where nothing is */
    public function lastFor(int $by): ?int
    {
        for ($week = min($by, \count($this->hours) - 1); $week >= 0; --$week) {
            $done = $this->doneIn($week);
            if (null !== $done && $done <= $by) {
                return $week;
            }
        }

        return null;
    }

    public function with(float $hours): self
    {
        return new self($this->backlog + $hours, $this->coming, $this->hours);
    }
}
