<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Drawing\TraceDrawing;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\NeedleVerdict;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Trace\SpeedVerdict;
use AwakeShed\Core\Trace\TracePoint;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\SpeedUnit;

/** What a trace says, whether it came in on the command line, as a file or from a live gauge. */
final readonly class TraceAnswers
{
    private function __construct()
    {
    }

    public static function needle(NeedleTrace $trace): Answer
    {
        $outcome = $trace->verdict->outcome();
        $at = static fn (?TracePoint $point): ?Pressure => null === $point ? null : Pressure::of($point->value, PressureUnit::Pascal);
        $hold = null === $trace->holdFrom || null === $trace->holdTo ? null : $trace->holdTo->time - $trace->holdFrom->time;

        return new Answer(
            $trace->verdict->value,
            self::needleTone($trace->verdict),
            [
                Figure::amount('pop_off_psi', $at($trace->popOff), PressureUnit::Psi, Measure::GaugePressure),
                Figure::amount('reseat_psi', $at($trace->reseat), PressureUnit::Psi, Measure::GaugePressure),
                Figure::amount('hold_psi', $at($trace->holdFrom), PressureUnit::Psi, Measure::GaugePressure),
                Figure::number('hold_seconds', $hold, 0),
                Figure::amount('loss_psi_per_min', $trace->lossPerMinute, PressureUnit::Psi, Measure::PressureLoss),
                Figure::amount('loss_error_psi_per_min', $trace->lossError, PressureUnit::Psi, Measure::PressureLoss),
                Figure::amount('half_life_seconds', $trace->halfLife, DurationUnit::Second, Measure::Stopwatch),
                Figure::amount('time_constant_seconds', $trace->timeConstant(), DurationUnit::Second, Measure::Stopwatch),
                Figure::amount('peak_psi', $trace->peak, PressureUnit::Psi, Measure::GaugePressure),
                Figure::yesNo('extrapolated', $trace->isExtrapolated()),
                Figure::number('samples', $trace->series->count()),
                Figure::number('gaps', \count($trace->series->gaps())),
            ],
            null === $outcome ? [] : [Finding::observed('needle.pressure', $outcome)->measuring(array_filter([
                'pop_off_psi' => self::rounded($at($trace->popOff)?->inPsi()),
                'loss_psi_per_min' => self::rounded($trace->lossPerMinute?->inPsi()),
            ], is_float(...)))],
            TraceDrawing::ofNeedle($trace),
        );
    }

    public static function speed(SpeedTrace $trace): Answer
    {
        $outcome = $trace->verdict->outcome();

        return new Answer(
            $trace->verdict->value,
            match ($trace->verdict) {
                SpeedVerdict::Steady => VerdictTone::Good,
                SpeedVerdict::NotEnough, SpeedVerdict::SampledTooSlowly => VerdictTone::Ask,
                SpeedVerdict::Hunts, SpeedVerdict::Unsteady, SpeedVerdict::Overspeeds => VerdictTone::Bad,
            },
            [
                Figure::amount('mean_rpm', $trace->mean, SpeedUnit::Rpm, Measure::GovernedSpeed),
                Figure::share('swing', $trace->swing),
                Figure::number('beat_seconds', $trace->beat?->inSeconds(), 2),
                Figure::against('fastest_rpm', $trace->fastest, SpeedUnit::Rpm, Measure::GovernedSpeed),
                Figure::limit('limit_rpm', $trace->limit, SpeedUnit::Rpm, Measure::GovernedSpeed),
                Figure::amount('no_load_rpm', $trace->noLoad, SpeedUnit::Rpm, Measure::GovernedSpeed),
                Figure::amount('loaded_rpm', $trace->loaded, SpeedUnit::Rpm, Measure::GovernedSpeed),
                Figure::number('droop_percent', $trace->droop(), 2),
                Figure::word('performance_class', $trace->performanceClass(), 'performance_class'),
                Figure::number('runs_from_seconds', $trace->runsFrom, 1),
                Figure::number('samples_a_second', $trace->series->step() > 0.0 ? 1 / $trace->series->step() : null, 1),
                Figure::number('shortest_seen_seconds', $trace->shortestSeen->inSeconds(), 1),
                Figure::yesNo('part_left_out', $trace->leavesPartOut),
                Figure::number('samples', $trace->series->count()),
                Figure::number('gaps', \count($trace->series->gaps())),
            ],
            null === $outcome ? [] : [Finding::observed('run.steady', $outcome)->measuring(array_filter([
                'mean_rpm' => self::rounded($trace->mean->in(SpeedUnit::Rpm)),
                'swing_percent' => self::rounded(100 * $trace->swing),
                'beat_s' => self::rounded($trace->beat?->inSeconds()),
            ], is_float(...)))],
            TraceDrawing::ofSpeed($trace),
        );
    }

    private static function rounded(?float $value): ?float
    {
        return null === $value ? null : round($value, 2);
    }

    public static function needleTone(NeedleVerdict $verdict): VerdictTone
    {
        return match ($verdict) {
            NeedleVerdict::Seals => VerdictTone::Good,
            NeedleVerdict::HoldsPopOffUnknown, NeedleVerdict::NotEnough, NeedleVerdict::Marginal, NeedleVerdict::Rises => VerdictTone::Ask,
            NeedleVerdict::Leaks, NeedleVerdict::NoPopOff, NeedleVerdict::HoldsTooLow, NeedleVerdict::LiftsHigh => VerdictTone::Bad,
        };
    }
}
