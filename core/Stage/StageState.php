<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

/** Where one stage of a job stands. */
final readonly class StageState
{
    /** @param list<StepState> $steps those that are asked of this machine, as it stands */
    public function __construct(public Stage $stage, public bool $isNeeded, public array $steps)
    {
    }

    public function done(): int
    {
        return \count(array_filter($this->steps, static fn (StepState $state): bool => $state->isDone && !$state->step->isNote));
    }

    public function asked(): int
    {
        return \count(array_filter($this->steps, static fn (StepState $state): bool => !$state->step->isNote));
    }

    /** The step to do next; null when nothing open is left. */
    public function next(): ?StepState
    {
        foreach ($this->steps as $state) {
            if ($state->isOpen()) {
                return $state;
            }
        }

        return null;
    }
}
