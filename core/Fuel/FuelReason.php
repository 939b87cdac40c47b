<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** One thing in a jar that speaks for a decision, with the figures of its sentence. */
final readonly class FuelReason
{
    /** @param array<string, string|float> $figures volumes in mL under *_ml, fractions in % under *_percent, ages in months */
    public function __construct(public string $code, public FuelDecision $speaksFor, public array $figures = [])
    {
    }
}
