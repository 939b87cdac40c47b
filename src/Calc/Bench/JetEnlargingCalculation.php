<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\FromCase;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Input\ChoiceInput;
use AwakeShed\App\Calc\Input\TicksInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Jet\BeforeDrilling;
use AwakeShed\Core\Jet\DrillingSchool;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Jet\JetEnlargement;
use AwakeShed\Core\Jet\NumberDrills;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;

#[AsCalculation('jet-enlarging', Topic::Carburetor)]
final class JetEnlargingCalculation implements Calculation, FromCase
{
    use Described;

    protected function asks(): array
    {
        return [
            'bore_mm' => AmountInput::between(Measure::Bore, LengthUnit::Millimetre, 0.1, 5)->usually(0.25, 2)->inSpecBook(SpecFigure::PilotJet),
            'to_mm' => AmountInput::between(Measure::Bore, LengthUnit::Millimetre, 0.1, 5)->usually(0.25, 2.1)->optional(),
            'error_mm' => AmountInput::between(Measure::Bore, LengthUnit::Millimetre, 0, 0.2)->usually(0, 0.05)->by(JetBore::READING_ERROR_MM),
            'school' => new ChoiceInput(DrillingSchool::class, 'school', DrillingSchool::Never, 'jet_drilling'),
            'done' => new TicksInput(BeforeDrilling::class, 'before_drilling'),
            'air_to_fuel' => AmountInput::between(Measure::CompressionRatio, RatioUnit::ToOne, 8, 25)->usually(9, 15)->by(14.7),
        ];
    }

    public function run(Given $in): Answer
    {
        $drills = NumberDrills::shipped();
        $from = JetBore::ofDiameter($in->get('bore_mm', Length::class));
        $next = $drills->nextAbove($from->diameter, $in->get('error_mm', Length::class));
        $nextBore = null === $next ? null : $drills->diameter($next);
        $to = $in->find('to_mm', Length::class) ?? $nextBore;
        if (null === $to) {
            return new Answer('no_drill', VerdictTone::Plain, [Figure::amount('bore_mm', $from->diameter, LengthUnit::Millimetre, Measure::Bore)]);
        }
        $weighed = JetEnlargement::weigh($from, JetBore::ofDiameter($to), $in->get('school', DrillingSchool::class), $in->all('done', BeforeDrilling::class), $nextBore);

        return new Answer(
            match (true) {
                $weighed->isAllowed() => 'allowed',
                DrillingSchool::Never === $weighed->school => 'never',
                !$weighed->isOneStep => 'too_far',
                default => 'not_yet',
            },
            $weighed->isAllowed() ? VerdictTone::Ask : VerdictTone::Bad,
            [
                Figure::amount('to_mm', $to, LengthUnit::Millimetre, Measure::Bore),
                Figure::number('to_drill', $drills->nearest($to)),
                Figure::share('area_change', $weighed->flow - 1),
                Figure::share('area_change_half_width', $from->flowError(JetBore::ofDiameter($to), $in->get('error_mm', Length::class))),
                Figure::yesNo('one_step', $weighed->isOneStep),
                Figure::number('flow', $weighed->flow, 3),
                Figure::number('mixture_after', $weighed->mixtureFrom($in->get('air_to_fuel', Ratio::class)->in(RatioUnit::ToOne)), 1),
                Figure::wordList('missing', $weighed->missing, 'before_drilling'),
                Figure::yesNo('allowed', $weighed->isAllowed()),
            ],
        );
    }

    /** What was proved already need not be ticked. */
    public function known(CaseFile $case): array
    {
        return ['done' => array_values(array_filter([
            $case->says(['jet.pilot' => ['clear']]) && $case->says(['jet.main' => ['clear']]) && $case->says(['bowl.inside' => ['clean']]) ? BeforeDrilling::EverythingCleaned : null,
            $case->says(['intake.gasket' => ['sound']]) ? BeforeDrilling::GasketsTight : null,
            $case->says(['needle.pressure' => ['holds']]) ? BeforeDrilling::NeedleTested : null,
        ]))];
    }
}
