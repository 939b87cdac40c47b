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
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Running\SprayNozzle;
use AwakeShed\Core\Running\WasherCheck;
use AwakeShed\Core\Running\WasherVerdict;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\VolumeFlow;

#[AsCalculation('washer-check', Topic::Washer, 'washer.pressure')]
final class WasherCheckCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'gal_per_min' => AmountInput::between(Measure::WaterFlow, FlowUnit::GallonPerMinute, 0.2, 20)->usually(0.8, 8)->inSpecBook(SpecFigure::PumpFlow),
            'psi' => AmountInput::between(Measure::WorkingPressure, PressureUnit::Psi, 100, 10_000)->usually(700, 5_000)->inSpecBook(SpecFigure::PumpPressure),
            'measured_gal_per_min' => AmountInput::between(Measure::WaterFlow, FlowUnit::GallonPerMinute, 0.05, 20)->usually(0.2, 8),
            'measured_psi' => AmountInput::between(Measure::WorkingPressure, PressureUnit::Psi, 0, 10_000)->usually(100, 5_000),
            'released_psi' => AmountInput::between(Measure::WorkingPressure, PressureUnit::Psi, 0, 10_000)->usually(0, 6_000)->optional(),
        ];
    }

    public function run(Given $in): Answer
    {
        $check = WasherCheck::measured($in->get('gal_per_min', VolumeFlow::class), $in->get('psi', Pressure::class), $in->get('measured_gal_per_min', VolumeFlow::class), $in->get('measured_psi', Pressure::class), $in->find('released_psi', Pressure::class));
        $verdict = $check->verdict();
        $finding = $verdict->finding();

        return new Answer(
            $verdict->value,
            WasherVerdict::Right === $verdict ? VerdictTone::Good : VerdictTone::Bad,
            [
                Figure::number('effective_size', $check->effectiveSize, 2),
                Figure::number('size', SprayNozzle::forPump($in->get('gal_per_min', VolumeFlow::class), $in->get('psi', Pressure::class))->size, 2),
            ],
            [Finding::observed($finding[0], $finding[1])->measuring(['measured_psi' => round($in->get('measured_psi', Pressure::class)->inPsi())])],
        );
    }
}
