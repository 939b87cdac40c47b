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
use AwakeShed\Core\Running\Alternator;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

#[AsCalculation('speed-trace', Topic::Running, 'run.steady')]
final class SpeedTraceCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'csv' => new SeriesInput([...SpeedUnit::cases(), ...FrequencyUnit::cases()]),
            'poles' => AmountInput::between(Measure::Pieces, CountUnit::Each, 2, 8)->by(2)->inSpecBook(SpecFigure::Poles),
            'rated_hz' => AmountInput::between(Measure::OutletFrequency, FrequencyUnit::Hertz, 40, 70)->optional(),
            'limit_rpm' => AmountInput::between(Measure::GovernedSpeed, SpeedUnit::Rpm, 500, 20_000)->usually(1_800, 9_000)->optional(),
        ];
    }

    public function run(Given $in): Answer
    {
        $alternator = Alternator::withPoles($in->get('poles', Count::class));
        $rated = $in->find('rated_hz', Frequency::class);

        return TraceAnswers::speed(SpeedTrace::fromSpeeds($alternator->speeds($in->get('csv', SeriesFile::class)), $in->find('limit_rpm', ShaftSpeed::class), null === $rated ? null : $alternator->speed($rated)));
    }
}
