<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\FromCase;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Fuel\WaterTolerance;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Share;
use AwakeShed\Core\Units\ShareUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('water-tolerance', Topic::Fuel)]
final class WaterToleranceCalculation implements Calculation, FromCase
{
    use Described;

    public function __construct(private readonly WaterTolerance $tolerance)
    {
    }

    protected function asks(): array
    {
        return [
            'ethanol' => AmountInput::between(Measure::Share, ShareUnit::Whole, 0, 0.15)->by(0.1),
            'celsius' => AmountInput::between(Measure::AirTemperature, TemperatureUnit::Celsius, -20, 40)->usually(-20, 38),
            'tank_ml' => AmountInput::between(Measure::TankVolume, VolumeUnit::Millilitre, 1, 200_000)->usually(200, 40_000)->inSpecBook(SpecFigure::Tank),
        ];
    }

    public function run(Given $in): Answer
    {
        $held = $this->tolerance->tolerated($in->get('ethanol', Share::class)->asFraction(), $in->get('celsius', Temperature::class), $in->get('tank_ml', Volume::class));

        return new Answer($held->fromMemory ? 'from_memory' : 'held', VerdictTone::Plain, [
            Figure::amount('water_ml', $held->water, VolumeUnit::Millilitre, Measure::JarVolume),
            Figure::amount('half_width_ml', $held->halfWidth, VolumeUnit::Millilitre, Measure::JarVolume),
            Figure::share('fraction', $held->fraction, 3),
            Figure::yesNo('from_memory', $held->fromMemory),
        ]);
    }

    public function known(CaseFile $case): array
    {
        $percent = $case->standing('jar.ethanol_percent')?->number;

        return null === $percent || $percent > 15.0 ? [] : ['ethanol' => Share::fraction($percent / 100)];
    }
}
