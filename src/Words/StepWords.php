<?php

declare(strict_types=1);

namespace AwakeShed\App\Words;

use AwakeShed\App\Unit\ActFigures;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\ImpossibleAct;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\Step;
use AwakeShed\Core\Stage\StepState;

/** The words of the stages and their steps (translations/steps.*). */
final readonly class StepWords
{
    public function __construct(private Catalogue $catalogue, private Words $words, private StagePlan $plan, private ActFigures $figures)
    {
    }

    /** A step of a stage, by its own name or its test's or its cure's. */
    public function step(Step $step): string
    {
        return $this->word('step.'.$step->id) ?? match (true) {
            null !== $step->test => $this->words->test($step->test),
            null !== $step->cure => $this->catalogue->say('Put right: %fault%', ['%fault%' => $this->words->fault($step->cure)]),
            default => Catalogue::spelledOut($step->id),
        };
    }

    /** How it is done, in a sentence or two; null where its test says it. */
    public function doing(Step $step): ?string
    {
        return $this->word('do.'.$step->id);
    }

    /** The label of an act's field, with the unit a plain number is meant in. */
    public function field(string $field): string
    {
        $unit = $this->figures->unit($field);

        return ($this->word('field.'.$field) ?? Catalogue::spelledOut($field)).(null === $unit ? '' : ', '.$unit);
    }

    /** What was done, e.g. "Oil drained: 900 mL". */
    public function act(Act $act): string
    {
        $said = array_map($this->words->figure(...), array_keys($act->figures), $act->figures);
        if (null !== $act->choice) {
            $said[] = $this->choice($act->step, $act->choice);
        }

        return $this->stepNamed($act->step).([] === $said ? '' : ': '.implode(', ', $said));
    }

    public function choice(string $step, string $choice): string
    {
        return $this->word('choice.'.$step.'.'.$choice) ?? $this->word('choice.'.$choice) ?? Catalogue::spelledOut($choice);
    }

    public function closedStep(StepState $state): string
    {
        return $this->catalogue->say('%test% is closed for now.', ['%test%' => $this->step($state->step)]).' '.$this->shut($state);
    }

    /** What opens a closed step, in sentences. */
    public function shut(StepState $state): string
    {
        $first = array_map(fn (string $step): string => $this->catalogue->say('First: %look%.', ['%look%' => $this->stepNamed($step)]), $state->first);

        return implode(' ', [...$first, ...array_map($this->words->blocker(...), $state->blockers)]);
    }

    /** Why a machine does not go home yet. */
    public function closing(string $why): string
    {
        return $this->word('closing.'.$why) ?? Catalogue::spelledOut($why);
    }

    /** What a note is about: a step of the work, or else a test. */
    public function about(string $id): string
    {
        try {
            return $this->stepNamed($id);
        } catch (ImpossibleAct) {
            return $this->words->test($id);
        }
    }

    private function stepNamed(string $id): string
    {
        return $this->step($this->plan->step($id));
    }

    private function word(string $key): ?string
    {
        return $this->catalogue->find($key, 'steps');
    }
}
