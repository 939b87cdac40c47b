<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Input\SeriesInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Trace\NeedleReading;
use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

#[AsCalculation('needle-trace', Topic::Carburetor, 'needle.pressure')]
final class NeedleTraceCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'csv' => new SeriesInput(PressureUnit::cases()),
            'strict_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0.05, 1)->by(NeedleReading::STRICT_LOSS_PSI),
        ];
    }

    public function run(Given $in): Answer
    {
        return TraceAnswers::needle(NeedleTrace::fromPressures($in->get('csv', SeriesFile::class)->series, $in->get('strict_psi', Pressure::class)));
    }
}
