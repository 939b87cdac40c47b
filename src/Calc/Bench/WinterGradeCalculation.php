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
use AwakeShed\Core\Oil\WinterGrade;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;

#[AsCalculation('winter-grade', Topic::Oil)]
final class WinterGradeCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'grade' => new ChoiceInput(WinterGrade::class, 'winter_grade', WinterGrade::W10),
            'coldest_celsius' => AmountInput::between(Measure::AirTemperature, TemperatureUnit::Celsius, -60, 40),
        ];
    }

    public function run(Given $in): Answer
    {
        $grade = $in->get('grade', WinterGrade::class);
        $coldest = $in->get('coldest_celsius', Temperature::class);
        $verdict = match (true) {
            $coldest->isLessThan($grade->pumpsTo()) => 'starves',
            $coldest->isLessThan($grade->cranksTo()) => 'stiff',
            default => 'cranks',
        };

        return new Answer($verdict, match ($verdict) {
            'cranks' => VerdictTone::Good,
            'stiff' => VerdictTone::Ask,
            default => VerdictTone::Bad,
        }, [
            Figure::amount('cranks_to_celsius', $grade->cranksTo(), TemperatureUnit::Celsius, Measure::AirTemperature),
            Figure::amount('pumps_to_celsius', $grade->pumpsTo(), TemperatureUnit::Celsius, Measure::AirTemperature),
        ]);
    }
}
