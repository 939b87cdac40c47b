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
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Trace\NeedleReading;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

/** The needle by a hand gauge and a watch, where nothing records. */
#[AsCalculation('needle-gauge', Topic::Carburetor, 'needle.pressure')]
final class NeedleGaugeCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'lifts_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 60)->usually(2, 20)->optional(),
            'seats_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 60)->usually(0, 12),
            'after_minute_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 60)->usually(0, 12),
            'gauge_error_psi' => AmountInput::between(Measure::PressureLoss, PressureUnit::Psi, 0, 2)->usually(0.02, 0.5)->by(NeedleReading::GAUGE_ERROR_PSI),
            'strict_psi' => AmountInput::between(Measure::PressureLoss, PressureUnit::Psi, 0.05, 1)->by(NeedleReading::STRICT_LOSS_PSI),
        ];
    }

    public function run(Given $in): Answer
    {
        $read = NeedleReading::byGauge($in->find('lifts_psi', Pressure::class), $in->get('seats_psi', Pressure::class), $in->get('after_minute_psi', Pressure::class), $in->get('gauge_error_psi', Pressure::class));
        $verdict = $read->verdict($in->get('strict_psi', Pressure::class));
        $outcome = $verdict->outcome();

        return new Answer(
            $verdict->value,
            TraceAnswers::needleTone($verdict),
            [
                Figure::amount('pop_off_psi', $read->popOff, PressureUnit::Psi, Measure::GaugePressure),
                Figure::amount('hold_psi', $read->held, PressureUnit::Psi, Measure::GaugePressure),
                Figure::amount('loss_psi_per_min', $read->loss, PressureUnit::Psi, Measure::PressureLoss),
                Figure::amount('loss_error_psi_per_min', $read->error, PressureUnit::Psi, Measure::PressureLoss),
            ],
            null === $outcome ? [] : [Finding::observed('needle.pressure', $outcome)->measuring(array_filter([
                'pop_off_psi' => null === $read->popOff ? null : round($read->popOff->inPsi(), 2),
                'loss_psi_per_min' => round($read->loss->inPsi(), 2),
            ], is_float(...)))],
        );
    }
}
