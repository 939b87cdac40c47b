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
use AwakeShed\App\Drawing\Bar;
use AwakeShed\App\Drawing\BarDrawing;
use AwakeShed\App\Unit\Figures;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Running\FlowTest;
use AwakeShed\Core\Running\FlowTestVerdict;
use AwakeShed\Core\Running\FuelNeed;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('flow-test', Topic::Path, 'flow.line')]
final class FlowTestCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'displacement_cc' => AmountInput::between(Measure::Displacement, VolumeUnit::CubicCentimetre, 10, 2_000)->usually(20, 800)->inSpecBook(SpecFigure::Displacement),
            'rpm' => AmountInput::between(Measure::GovernedSpeed, SpeedUnit::Rpm, 500, 15_000)->usually(1_200, 12_000)->inSpecBook(SpecFigure::GovernedSpeed),
            'seconds_each' => AmountInput::between(Measure::Stopwatch, DurationUnit::Second, 2, 600)->by(30),
            'cup_1_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 0, 5_000)->usually(0, 600),
            'cup_2_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 0, 5_000)->usually(0, 600)->optional(),
            'cup_3_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 0, 5_000)->usually(0, 600)->optional(),
            'cup_1_seconds' => self::watch(),
            'cup_2_seconds' => self::watch(),
            'cup_3_seconds' => self::watch(),
            'cap_open_seconds' => self::watch(),
            'cap_open_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 0, 5_000)->usually(0, 600)->optional(),
        ];
    }

    public function run(Given $in): Answer
    {
        $need = FuelNeed::atSpeed($in->get('displacement_cc', Volume::class), $in->get('rpm', ShaftSpeed::class));
        $each = $in->get('seconds_each', Duration::class);
        $cup = static fn (string $name, Volume $caught): array => [$caught, $in->find($name.'_seconds', Duration::class) ?? $each];
        $cups = [$cup('cup_1', $in->get('cup_1_ml', Volume::class))];
        foreach (['cup_2', 'cup_3'] as $name) {
            $caught = $in->find($name.'_ml', Volume::class);
            if (null !== $caught) {
                $cups[] = $cup($name, $caught);
            }
        }
        $open = $in->find('cap_open_ml', Volume::class);
        $test = FlowTest::timed($cups, null === $open ? null : $cup('cap_open', $open));
        $verdict = $test->verdict($need);
        $bars = array_map(
            static fn (int $cup, VolumeFlow $flow): Bar => new Bar((string) ($cup + 1), $flow->in(FlowUnit::MillilitrePerMinute), Figures::amount($flow, Measure::FuelFlow)),
            array_keys($test->cups),
            $test->cups,
        );
        if (null !== $test->capOpen) {
            $bars[] = new Bar('cap_open', $test->capOpen->in(FlowUnit::MillilitrePerMinute), Figures::amount($test->capOpen, Measure::FuelFlow));
        }

        return new Answer(
            $verdict->value,
            match ($verdict) {
                FlowTestVerdict::Pours => VerdictTone::Good,
                FlowTestVerdict::Scant, FlowTestVerdict::Fades => VerdictTone::Ask,
                default => VerdictTone::Bad,
            },
            [
                Figure::amount('settled_ml_per_min', $test->settled(), FlowUnit::MillilitrePerMinute, Measure::FuelFlow),
                Figure::amount('need_ml_per_min', $need->flow(), FlowUnit::MillilitrePerMinute, Measure::FuelFlow),
                Figure::number('times_need', $test->settled()->over($need->flow()), 1),
                Figure::share('fade', $test->fade(), 0),
                Figure::number('cups', \count($test->cups)),
            ],
            self::findings($verdict, $test),
            BarDrawing::withBars('flow_by_cup', $bars, $need->flow()->in(FlowUnit::MillilitrePerMinute), Figures::amount($need->flow(), Measure::FuelFlow)),
        );
    }

    /** Of the watch, where each cup was stopped at a mark instead of after a time. */
    private static function watch(): AmountInput
    {
        return AmountInput::between(Measure::Stopwatch, DurationUnit::Second, 2, 600)->optional()->timed();
    }

    /** @return list<Finding> */
    private static function findings(FlowTestVerdict $verdict, FlowTest $test): array
    {
        $flow = match ($verdict) {
            FlowTestVerdict::Pours => 'pours',
            FlowTestVerdict::Scant, FlowTestVerdict::Starves => 'trickles',
            FlowTestVerdict::None => 'none',
            FlowTestVerdict::Fades, FlowTestVerdict::Vent, FlowTestVerdict::FadesCapOrNot => 'pours_then_fades',
        };
        $findings = [Finding::observed('flow.line', $flow)->measuring(['ml_per_min' => array_map(static fn (VolumeFlow $cup): float => round($cup->in(FlowUnit::MillilitrePerMinute), 1), $test->cups)])];
        $recovers = $test->recovers();
        if (null !== $recovers) {
            $findings[] = Finding::observed('flow.cap_open', $recovers ? 'recovers' : 'same');
        }

        return $findings;
    }
}
