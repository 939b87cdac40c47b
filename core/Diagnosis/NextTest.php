<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** A test that may be made now, and what it is worth. */
final readonly class NextTest
{
    /**
     * @param float        $bits  expected to be learned of which faults are there, by it or by what it opens
     * @param list<string> $tells the faults it would tell most of
     * @param string|null  $opens the test for whose sake it is worth making; null where it is for its own
     */
    public function __construct(public string $test, public float $minutes, public float $bits, public array $tells, public ?string $opens)
    {
    }
}
