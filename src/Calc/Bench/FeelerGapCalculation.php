<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Cylinder\FeelerGap;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Cylinder\GapFit;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/** A gap read with a feeler; which gap it is, and how the spec book calls its limits, each kind says. */
abstract class FeelerGapCalculation implements Calculation
{
    abstract protected function gap(): Gap;

    /** @return array{SpecFigure, SpecFigure} least and most */
    abstract protected function limits(): array;

    final public function inputs(): array
    {
        [$least, $most] = $this->limits();

        return [
            'measured_mm' => AmountInput::between(Measure::FeelerGap, LengthUnit::Millimetre, 0, 5)->usually(0, 1.5),
            'spec_least_mm' => AmountInput::between(Measure::FeelerGap, LengthUnit::Millimetre, 0, 5)->optional()->inSpecBook($least),
            'spec_most_mm' => AmountInput::between(Measure::FeelerGap, LengthUnit::Millimetre, 0, 5)->optional()->inSpecBook($most),
        ];
    }

    final public function run(Given $in): Answer
    {
        $read = FeelerGap::read($this->gap(), $in->get('measured_mm', Length::class), $in->find('spec_least_mm', Length::class), $in->find('spec_most_mm', Length::class));
        $fit = $read->fit();
        $test = $this->act();

        return new Answer(
            $fit->value.($read->isUnverified ? '_unverified' : ''),
            GapFit::Fits === $fit ? VerdictTone::Good : VerdictTone::Bad,
            [
                Figure::amount('least_mm', $read->least, LengthUnit::Millimetre, Measure::FeelerGap),
                Figure::amount('most_mm', $read->most, LengthUnit::Millimetre, Measure::FeelerGap),
                Figure::amount('to_middle_mm', $read->toMiddle(), LengthUnit::Millimetre, Measure::FeelerGap),
                Figure::amount('thou', $read->measured, LengthUnit::Thou, Measure::FeelerGap),
                Figure::yesNo('unverified', $read->isUnverified),
            ],
            null === $test ? [] : [Finding::observed($test, GapFit::Fits === $fit ? 'in_range' : 'out_of_range')->measuring(['gap_mm' => round($read->measured->inMillimetres(), 3)])],
        );
    }
}
