<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Gate\Blocker;

/** What the evidence of a case comes to. */
final readonly class Assessment
{
    /**
     * @param list<Suspect>                $faults         all of them, the likeliest first
     * @param list<NextTest>               $next           allowed now and not made yet, the most worth a minute first
     * @param array<string, list<Blocker>> $blocked        tests that must wait
     * @param list<Contradiction>          $contradictions
     */
    public function __construct(public array $faults, public array $next, public array $blocked, public array $contradictions)
    {
    }
}
