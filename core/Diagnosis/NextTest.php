<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** A test that may be made now, and what it is worth. */
final readonly class NextTest
{
    /**
     * @param float        $minutes     of the test by itself
     * @param float        $minutesHere from where the machine is now, what has to come off before included
     * @param float        $bits        expected to be learned of which faults are there, by it, by what it opens and by what shares its way in
     * @param list<string> $tells       the faults it would tell most of
     * @param string|null  $opens       the test for whose sake it is worth making; null where it is for its own
     * @param list<string> $parts       what has to come off before
     */
    public function __construct(public string $test, public float $minutes, public float $minutesHere, public float $bits, public array $tells, public ?string $opens, public array $parts)
    {
    }
}
