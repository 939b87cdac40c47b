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
use AwakeShed\Core\Cylinder\CrankcaseTest;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

#[AsCalculation('crankcase-leak', Topic::Cylinder, 'crankcase.pressure_test')]
final class CrankcaseLeakCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'start_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 2, CrankcaseTest::MOST_PSI)->usually(4, 8)->by(7),
            'end_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 10),
            'seconds' => AmountInput::between(Measure::Stopwatch, DurationUnit::Second, 10, 1_800)->usually(30, 600)->by(180),
            'gauge_error_psi' => AmountInput::between(Measure::PressureLoss, PressureUnit::Psi, 0, 1)->usually(0.02, 0.5)->by(0.1),
        ];
    }

    public function run(Given $in): Answer
    {
        $test = CrankcaseTest::pumped($in->get('start_psi', Pressure::class), $in->get('end_psi', Pressure::class), $in->get('seconds', Duration::class), $in->get('gauge_error_psi', Pressure::class));
        $isTight = $test->isTight();

        return new Answer(
            match ($isTight) {
                true => 'tight',
                false => 'leaks',
                null => 'cannot_tell',
            },
            match ($isTight) {
                true => VerdictTone::Good,
                false => VerdictTone::Bad,
                null => VerdictTone::Ask,
            },
            [
                Figure::amount('loss_psi_per_min', $test->lossPerMinute, PressureUnit::Psi, Measure::PressureLoss),
                Figure::amount('loss_error_psi_per_min', $test->error, PressureUnit::Psi, Measure::PressureLoss),
            ],
            null === $isTight ? [] : [Finding::observed('crankcase.pressure_test', $isTight ? 'holds' : 'leaks')->measuring(['loss_psi_per_min' => round($test->lossPerMinute->inPsi(), 2)])],
        );
    }
}
