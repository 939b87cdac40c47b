<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

use AwakeShed\Core\Gate\Blocker;

/** Where one step of a job stands. */
final readonly class StepState
{
    /**
     * @param list<Act>     $acts     done so far, for a step that is an act
     * @param list<string>  $first    steps that come first and are not done
     * @param list<Blocker> $blockers gates that keep it closed
     * @param string|null   $doubt    why what was said there is questioned; it is not done before that is settled
     */
    public function __construct(public Step $step, public bool $isDone, public array $acts, public array $first, public array $blockers, public ?string $doubt = null)
    {
    }

    public function isClosed(): bool
    {
        return [] !== $this->first || [] !== $this->blockers;
    }

    /** Whether it is the next thing to do: asked, open and not done. */
    public function isOpen(): bool
    {
        return !$this->isDone && !$this->isClosed() && !$this->step->isNote;
    }
}
