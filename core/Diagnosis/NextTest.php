<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** A test that may be made now, and what it is worth. */
final readonly class NextTest
{
    /**
     * @param float        $bits  expected to be learned of which faults are there
     * @param list<string> $tells the faults it would tell most of
     */
    public function __construct(public string $test, public float $minutes, public float $bits, public array $tells)
    {
    }
}
