<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** A finding that speaks for or against a fault. */
final readonly class Reason
{
    /** @param float $logOdds natural; above 0 for the fault, the others being as likely as they are believed */
    public function __construct(public string $test, public string $outcome, public float $logOdds)
    {
    }
}
