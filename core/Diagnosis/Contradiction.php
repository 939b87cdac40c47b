<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\Finding;

/** A claim that findings speak against. */
final readonly class Contradiction
{
    /** @param array<string, Finding> $against by test, what was found that speaks against it */
    public function __construct(public string $claim, public string $outcome, public array $against, public float $probability)
    {
    }
}
