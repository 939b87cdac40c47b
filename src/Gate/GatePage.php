<?php

declare(strict_types=1);

namespace AwakeShed\App\Gate;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Photo\PhotoLine;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Gate\GateState;
use AwakeShed\Core\Oil\OilVerdict;

/** All that the walk of a job shows; everything in it is derived. */
final readonly class GatePage
{
    /**
     * @param list<GateState>                $gates
     * @param array<string, list<PhotoLine>> $photos by gate
     * @param string                         $asked  the gate that was asked for; empty for none
     */
    public function __construct(public Job $job, public Record $record, public CaseFile $case, public array $gates, public OilVerdict $oil, public array $photos, private string $asked = '')
    {
    }

    /** @return string|null the one that stands open: what was asked for as long as it is not passed, then the first that is not, then what was asked for all the same */
    public function open(): ?string
    {
        $left = array_filter($this->gates, static fn (GateState $state): bool => !$state->isPassed() && !$state->isOptional());
        $asked = array_filter($this->gates, fn (GateState $state): bool => $state->gate->id === $this->asked);
        $first = array_values(array_intersect_key($asked, $left))[0] ?? array_values($left)[0] ?? array_values($asked)[0] ?? null;

        return $first?->gate->id;
    }
}
