<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** What one outcome of a test not made yet would change. */
final readonly class OutcomePreview
{
    /**
     * @param float                                             $chance of the outcome, as things stand
     * @param array<string, array{before: float, after: float}> $shifts by fault, the largest first
     */
    public function __construct(public string $outcome, public float $chance, public array $shifts)
    {
    }
}
