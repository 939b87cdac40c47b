<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Evidence\Record;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\Step;
use AwakeShed\Core\Stage\StepState;
use Twig\Attribute\AsTwigFunction;

/** What a machine of its kind wants ready before it is started, for every page on which a start is a tap away. */
final readonly class FirstRunExtension
{
    public function __construct(private StagePlan $plan)
    {
    }

    /** @return list<Step> not said to be done yet */
    #[AsTwigFunction('before_a_start')]
    public function beforeAStart(Record $record): array
    {
        $steps = [];
        foreach ($this->plan->stateOfStage('first_run', $record->case(), $record->acts())->steps as $state) {
            if (Attempt::TEST === $state->step->test) {
                break;
            }
            if ($this->isWanted($state)) {
                $steps[] = $state->step;
            }
        }

        return $steps;
    }

    private function isWanted(StepState $state): bool
    {
        return !$state->isDone && \in_array($state->step->id, array_column($this->plan->step('first_run.start')->after, 'step'), true);
    }
}
