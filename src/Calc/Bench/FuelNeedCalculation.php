<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Input\ChoiceInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Running\FlowVerdict;
use AwakeShed\Core\Running\FuelNeed;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('fuel-need', Topic::Path)]
final class FuelNeedCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'displacement_cc' => AmountInput::between(Measure::Displacement, VolumeUnit::CubicCentimetre, 10, 2_000)->usually(20, 800)->inSpecBook(SpecFigure::Displacement),
            'rpm' => AmountInput::between(Measure::GovernedSpeed, SpeedUnit::Rpm, 500, 15_000)->usually(1_200, 12_000)->inSpecBook(SpecFigure::GovernedSpeed),
            'cycle' => new ChoiceInput(Cycle::class, 'cycle', Cycle::FourStroke),
            'measured_ml_per_min' => AmountInput::between(Measure::FuelFlow, FlowUnit::MillilitrePerMinute, 0, 20_000)->usually(0, 600)->optional(),
        ];
    }

    public function run(Given $in): Answer
    {
        $need = FuelNeed::atSpeed($in->get('displacement_cc', Volume::class), $in->get('rpm', ShaftSpeed::class), $in->get('cycle', Cycle::class));
        $measured = $in->find('measured_ml_per_min', VolumeFlow::class);
        $verdict = null === $measured ? null : $need->metBy($measured);

        return new Answer(
            null === $verdict ? 'need' : $verdict->value,
            match ($verdict) {
                null => VerdictTone::Plain,
                FlowVerdict::Ample => VerdictTone::Good,
                FlowVerdict::Scant => VerdictTone::Ask,
                FlowVerdict::Starves => VerdictTone::Bad,
            },
            [
                Figure::amount('ml_per_min', $need->flow(), FlowUnit::MillilitrePerMinute, Measure::FuelFlow),
                Figure::number('grams_per_min', $need->gramsPerMinute(), 1),
                Figure::number('times_need', $measured?->over($need->flow()), 1),
            ],
        );
    }
}
