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
use AwakeShed\Core\Cylinder\Hiss;
use AwakeShed\Core\Cylinder\LeakDown;
use AwakeShed\Core\Cylinder\LeakDownBand;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

#[AsCalculation('leak-down', Topic::Cylinder, 'compression.leakdown')]
final class LeakDownCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'regulated_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 5, 150)->usually(20, 110)->by(100),
            'cylinder_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 170),
            'error_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 20)->by(1),
            'hiss' => new ChoiceInput(Hiss::class, 'hiss', Hiss::NotHeard),
        ];
    }

    public function run(Given $in): Answer
    {
        $read = LeakDown::read($in->get('regulated_psi', Pressure::class), $in->get('cylinder_psi', Pressure::class), $in->get('error_psi', Pressure::class));
        $band = $read->band();
        $suspect = $in->get('hiss', Hiss::class)->suspect();

        return new Answer(
            match (true) {
                $read->bestBand() !== $band => 'between',
                LeakDownBand::FindIt === $band && null !== $suspect => 'find_it_heard',
                LeakDownBand::Worn === $band && null !== $suspect => 'worn_heard',
                default => $band->value,
            },
            match (true) {
                LeakDownBand::FindIt === $read->bestBand() => VerdictTone::Bad,
                \in_array($band, [LeakDownBand::Good, LeakDownBand::Usable], true) => VerdictTone::Good,
                default => VerdictTone::Ask,
            },
            [
                Figure::share('leak', $read->share->asFraction()),
                Figure::share('leak_half_width', $read->halfWidth->asFraction()),
                Figure::word('band', $band, 'leak_band'),
                Figure::word('best_band', $read->bestBand(), 'leak_band'),
                Figure::word('suspect', $suspect, 'suspect'),
            ],
            [Finding::observed('compression.leakdown', \in_array($band, [LeakDownBand::Good, LeakDownBand::Usable], true) ? 'good' : 'poor')->measuring(['leak_percent' => round(100 * $read->share->asFraction(), 1)])],
        );
    }
}
