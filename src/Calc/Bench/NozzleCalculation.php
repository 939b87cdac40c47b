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
use AwakeShed\Core\Running\SprayNozzle;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\VolumeFlow;

#[AsCalculation('nozzle', Topic::Washer)]
final class NozzleCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'gal_per_min' => AmountInput::between(Measure::WaterFlow, FlowUnit::GallonPerMinute, 0.2, 20)->usually(0.8, 8)->inSpecBook(SpecFigure::PumpFlow),
            'psi' => AmountInput::between(Measure::WorkingPressure, PressureUnit::Psi, 100, 10_000)->usually(700, 5_000)->inSpecBook(SpecFigure::PumpPressure),
        ];
    }

    public function run(Given $in): Answer
    {
        return new Answer('size', VerdictTone::Plain, [
            Figure::number('size', SprayNozzle::forPump($in->get('gal_per_min', VolumeFlow::class), $in->get('psi', Pressure::class))->size, 2),
        ]);
    }
}
