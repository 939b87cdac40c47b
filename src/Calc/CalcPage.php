<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Spec\FoundFigure;
use Symfony\Component\Form\FormView;

/** All that the page of a calculation shows. */
final readonly class CalcPage
{
    /**
     * @param array<string, string|list<string>> $asTyped what was typed, by input, to be recorded with the answer
     * @param array<string, FoundFigure>         $looked  what the spec book filled in, by input
     * @param list<string>                       $known   inputs that the record filled in
     * @param list<Measurement>                  $pair    the first time it was measured in the job, and the last
     */
    public function __construct(
        public Calculation $calculation,
        /** Null where only what an edit changes is shown. */
        public ?FormView $form,
        public ?Answer $answer,
        /** Why there is no answer, in a sentence; null when there is one, or nothing was given yet. */
        public ?string $refusal,
        /** Why the act it belongs to is closed in this job, and what opens it; null when it is not. */
        public ?string $closed,
        public array $asTyped,
        public array $looked,
        public array $known,
        public array $pair,
    ) {
    }
}
