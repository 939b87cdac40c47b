<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

/**
 * How long a piece of work takes in this shop: log-normal, its typical time learned from those that somebody began and
 * ended by the clock, starting from what is reckoned.
 */
final readonly class LearnedTime
{
    /** Pieces at the reckoned time that are believed before any was timed (invented). */
    private const PRIOR = 4;

    /** Nobody is further off; who is forgot the clock. */
    private const FARTHEST = 4.0;

    /**
     * @param float $factor of the reckoned time
     * @param float $spread standard deviation of the natural logarithm
     * @param int   $timed  how many were
     */
    private function __construct(public float $factor, public float $spread, public int $timed)
    {
    }

    /**
     * @param float                     $spread of the kind, before anything is learned
     * @param list<array{float, float}> $timed  reckoned and taken minutes, each above nothing
     */
    public static function from(float $spread, array $timed): self
    {
        $logs = [];
        foreach ($timed as [$reckoned, $taken]) {
            $ratio = $taken / $reckoned;
            if ($ratio <= self::FARTHEST && $ratio >= 1 / self::FARTHEST) {
                $logs[] = log($ratio);
            }
        }
        $count = \count($logs);
        $mean = array_sum($logs) / (self::PRIOR + $count);
        $square = self::PRIOR * ($spread ** 2 + $mean ** 2) + array_sum(array_map(static fn (float $log): float => ($log - $mean) ** 2, $logs));

        return new self(exp($mean), sqrt($square / (self::PRIOR + $count)), $count);
    }
}
