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
use AwakeShed\Core\Oil\SeasonOil;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('season-oil', Topic::Oil)]
final class SeasonOilCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'coldest_celsius' => AmountInput::between(Measure::AirTemperature, TemperatureUnit::Celsius, -50, 50)->usually(-45, 40),
            ...DilutedOil::mark(),
        ];
    }

    public function run(Given $in): Answer
    {
        $oil = SeasonOil::forStart($in->get('coldest_celsius', Temperature::class));
        $grade = $oil->winterGrade();

        return new Answer($oil->value, SeasonOil::TooCold === $oil ? VerdictTone::Bad : VerdictTone::Plain, [
            Figure::amount('cranks_to_celsius', $grade?->cranksTo(), TemperatureUnit::Celsius, Measure::AirTemperature),
            Figure::amount('pumps_to_celsius', $grade?->pumpsTo(), TemperatureUnit::Celsius, Measure::AirTemperature),
            Figure::amount('fill_ml', $in->get('mark_ml', Volume::class), VolumeUnit::Millilitre, Measure::OilVolume),
        ]);
    }
}
