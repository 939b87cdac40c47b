<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

use AwakeShed\Core\Units\ImpossibleAmount;

/** How long this shop takes against what is reckoned, learned from the jobs on which somebody looked at the clock. */
final readonly class Pace
{
    /** Hours at the reckoned pace that are believed before any job was clocked (invented: five ordinary jobs). */
    private const PRIOR_HOURS = 7.5;

    /** A shop that is further off has clocked something else. */
    private const SLOWEST = 3.0;
    private const FASTEST = 0.33;

    private function __construct(public float $factor, public int $jobs)
    {
    }

    /**
     * @param float $clocked  hours of labor on those jobs, 0 and more
     * @param float $reckoned hours their records come to, 0 and more
     *
     * @throws ImpossibleAmount when one is below nothing
     */
    public static function learned(float $clocked, float $reckoned, int $jobs): self
    {
        ImpossibleAmount::unlessBetween($clocked, 0.0, 1e7, 'h');
        ImpossibleAmount::unlessBetween($reckoned, 0.0, 1e7, 'h');
        $factor = (self::PRIOR_HOURS + $clocked) / (self::PRIOR_HOURS + $reckoned);

        return new self(min(self::SLOWEST, max(self::FASTEST, $factor)), $jobs);
    }

    public function isLearned(): bool
    {
        return $this->jobs > 0;
    }
}
