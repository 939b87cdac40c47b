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
use AwakeShed\Core\Fuel\FuelKept;
use AwakeShed\Core\Fuel\VaporLoss;
use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\MonthUnit;

#[AsCalculation('old-fuel', Topic::Fuel)]
final class OldFuelCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'months' => AmountInput::between(Measure::Age, MonthUnit::Month, 0, 120),
            'kept' => new ChoiceInput(FuelKept::class, 'fuel_kept', FuelKept::Vented),
        ];
    }

    public function run(Given $in): Answer
    {
        $loss = VaporLoss::after($in->get('months', CalendarSpan::class), FuelKept::Vented === $in->get('kept', FuelKept::class));
        $verdict = match (true) {
            $loss->least >= VaporLoss::HARD_TO_START => 'hard',
            $loss->most >= VaporLoss::HARD_TO_START => 'may_be_hard',
            default => 'starts',
        };

        return new Answer($verdict, 'starts' === $verdict ? VerdictTone::Plain : VerdictTone::Ask, [
            Figure::share('loss_least', $loss->least, 0),
            Figure::share('loss_most', $loss->most, 0),
        ]);
    }
}
