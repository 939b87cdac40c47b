<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Http\Explained;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Stage\StepState;

/** A step was to be recorded that is not open yet. */
final class ClosedStep extends \DomainException implements Explained
{
    public function __construct(public readonly StepState $state)
    {
        parent::__construct(\sprintf('The step "%s" is closed.', $state->step->id));
    }

    public function text(): string
    {
        return 'closed';
    }

    public function detail(Words $words, StepWords $steps): string
    {
        return $steps->closedStep($this->state);
    }
}
