<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** What is believed once everything that was seen has been weighed. */
final readonly class Posterior
{
    /**
     * @param array<string, float> $beliefs by fault, 0 to 1
     * @param array<string, float> $sides   by side of the engine, the chance that at least one fault of it is there
     */
    public function __construct(public array $beliefs, public array $sides)
    {
    }
}
