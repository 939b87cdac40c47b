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
    public function __construct(public array $faults, public array $next, public array $blocked, public array $contradictions, public Split $split)
    {
    }

    /** @return list<Suspect> what may keep the engine from its work, the likeliest first */
    public function causes(): array
    {
        return array_values(array_filter($this->faults, static fn (Suspect $suspect): bool => !$suspect->isBeside));
    }

    /** @return list<Suspect> what is to be mended beside, the likeliest first */
    public function alsoToDo(): array
    {
        return array_values(array_filter($this->faults, static fn (Suspect $suspect): bool => $suspect->isBeside));
    }
}
