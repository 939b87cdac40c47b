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
use AwakeShed\App\Calc\Input\AmountsInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Running\LoadStep;
use AwakeShed\Core\Running\LoadTest;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\Power;
use AwakeShed\Core\Units\PowerUnit;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\VoltageUnit;

#[AsCalculation('generator-load', Topic::Running, 'run.load')]
final class GeneratorLoadCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'watts' => new AmountsInput(Measure::Load, PowerUnit::Watt, 0, 50_000),
            'volts' => new AmountsInput(Measure::Voltage, VoltageUnit::Volt, 0, 500),
            'hertz' => new AmountsInput(Measure::OutletFrequency, FrequencyUnit::Hertz, 20, 100),
            'rated_volts' => AmountInput::between(Measure::Voltage, VoltageUnit::Volt, 10, 500)->usually(110, 250)->by(120),
            'rated_hz' => AmountInput::between(Measure::OutletFrequency, FrequencyUnit::Hertz, 40, 70)->by(60)->inSpecBook(SpecFigure::RatedFrequency),
            'recovery_seconds' => AmountInput::between(Measure::Stopwatch, DurationUnit::Second, 0, 120)->usually(0, 20)->optional()->timed(),
        ];
    }

    public function run(Given $in): Answer
    {
        [$watts, $volts, $hertz] = [$in->all('watts', Power::class), $in->all('volts', Voltage::class), $in->all('hertz', Frequency::class)];
        $count = min(\count($watts), \count($volts), \count($hertz));
        if ($count < 2 || $count !== max(\count($watts), \count($volts), \count($hertz))) {
            return new Answer('wanted', VerdictTone::Plain, [Figure::number('steps', $count)]);
        }
        $test = LoadTest::ofSteps(array_map(static fn (Power $load, Voltage $voltage, Frequency $frequency): LoadStep => new LoadStep($load, $voltage, $frequency), $watts, $volts, $hertz), $in->get('rated_volts', Voltage::class), $in->get('rated_hz', Frequency::class));
        $recovery = $in->find('recovery_seconds', Duration::class);
        $class = $test->performanceClass($recovery?->inSeconds());
        $isFaster = !Edge::isAtMost(0.0, $test->droop());

        return new Answer(
            match (true) {
                $isFaster => 'faster_loaded',
                null === $class => 'no_class',
                default => 'class',
            },
            match (true) {
                $isFaster => VerdictTone::Ask,
                null === $class => VerdictTone::Bad,
                default => VerdictTone::Good,
            },
            [
                Figure::number('droop_percent', $test->droop(), 2),
                Figure::number('voltage_percent', $test->voltageDeviation(), 1),
                Figure::word('performance_class', $class, 'performance_class'),
                Figure::number('steps', \count($test->steps)),
            ],
            $isFaster ? [] : [Finding::observed('run.load', null === $class ? 'sags' : 'holds')->measuring(['droop_percent' => round($test->droop(), 2), 'voltage_percent' => round($test->voltageDeviation(), 1)])],
        );
    }
}
