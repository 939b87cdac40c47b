<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** A claim that findings speak against. */
final readonly class Contradiction
{
    /** @param list<string> $against test ids */
    public function __construct(public string $claim, public string $outcome, public array $against, public float $probability)
    {
    }
}
