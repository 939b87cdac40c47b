<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Calc\Input\UnreadableInput;
use AwakeShed\App\Evidence\Content\WorkedOut;
use AwakeShed\Core\Refusal;
use Twig\Attribute\AsTwigFunction;

/** Lets any page say what a recorded calculation says. */
final readonly class CalcExtension
{
    public function __construct(private Calculations $calculations, private CalcWords $words)
    {
    }

    /** Its title and its verdict, worked out again from what it was told. */
    #[AsTwigFunction('worked_out')]
    public function workedOut(WorkedOut $worked): string
    {
        $calculation = $this->calculations->named($worked->calculation);
        if (null === $calculation) {
            return $worked->calculation;
        }
        try {
            return $this->words->title($calculation).': '.$this->words->verdict($calculation, $calculation->run(Given::read($calculation, $worked->in)));
        } catch (Refusal|UnreadableInput) {
            // Recorded under bounds that were tightened since: what it was about is all that can be said.
            return $this->words->title($calculation);
        }
    }

    #[AsTwigFunction('calc_words')]
    public function words(): CalcWords
    {
        return $this->words;
    }
}
