<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

use AwakeShed\Core\Evidence\CaseFile;

/** One stage of the work, in the order of its steps. */
final readonly class Stage
{
    /**
     * @param array<string, list<string>>|null $when      any of these must stand for the stage to be needed; null: always
     * @param non-empty-list<Step>             $steps
     * @param bool                             $whenOpen  it is called for while bowl or carburetor is off, too
     * @param bool                             $isInOrder its first open step is its next, whatever the job waits for
     * @param bool                             $folds     a page shows one of its steps at a time, the others in a line
     */
    public function __construct(public string $id, public ?array $when, public array $steps, private bool $whenOpen, public bool $isInOrder, public bool $folds)
    {
    }

    public function isNeeded(CaseFile $case): bool
    {
        $isOpen = 'off' === $case->state->place('bowl') || 'off' === $case->state->place('carburetor');

        return null === $this->when || $case->everSaid($this->when) || ($this->whenOpen && $isOpen);
    }
}
