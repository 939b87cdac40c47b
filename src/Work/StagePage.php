<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Oil\Stock;
use AwakeShed\App\TestCard\TestCard;
use AwakeShed\App\Wait\Wait;
use AwakeShed\Core\Stage\StageState;
use AwakeShed\Core\Stage\Step;
use AwakeShed\Core\Stage\StepState;

/** All that the page of a stage shows; everything in it is derived. */
final readonly class StagePage
{
    /**
     * @param list<StageState>        $stages
     * @param array<string, TestCard> $bearings  by test
     * @param list<Wait>              $waits     of this job
     * @param list<Stock>             $oils      on the shelf, where the stage takes any
     * @param array<string, Leftover> $leftovers by step
     */
    public function __construct(
        public Job $job,
        public Record $record,
        public StageState $state,
        public array $stages,
        public array $bearings,
        public array $waits,
        public \DateTimeImmutable $now,
        public StageResult $says,
        public array $oils,
        public array $leftovers,
    ) {
    }

    /** Whether a step is what the job waits for: the one next thing, whatever else is open. */
    public function isNext(Step $step): bool
    {
        $next = $this->job->getWaitsFor();

        return '' !== $next && ($step->test === $next || $step->cure === $next || \in_array($next, $step->does, true));
    }

    /** The place of a step by its name; without one, of what the job waits for, or of the next to be done; else the last. */
    public function place(string $step): int
    {
        foreach ([fn (StepState $state): bool => '' === $step ? !$this->state->stage->isInOrder && $state->isOpen() && $this->isNext($state->step) : $state->step->id === $step, static fn (StepState $state): bool => '' === $step && $state->isOpen()] as $isIt) {
            foreach ($this->state->steps as $place => $state) {
                if ($isIt($state)) {
                    return $place;
                }
            }
        }

        return max(0, \count($this->state->steps) - 1);
    }
}
