<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** A fault with how likely it is and what pushed it there. */
final readonly class Suspect
{
    /** @param list<Reason> $because the strongest first */
    public function __construct(public string $fault, public float $probability, public array $because)
    {
    }
}
