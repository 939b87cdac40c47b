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
use AwakeShed\Core\Fuel\Stabilizer;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('stabilizer', Topic::Fuel)]
final class StabilizerCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'fuel_ml' => AmountInput::between(Measure::TankVolume, VolumeUnit::Millilitre, 50, 200_000)->usually(200, 40_000)->inSpecBook(SpecFigure::Tank),
            'label_dose_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 0.1, 1_000)->usually(1, 300),
            'label_fuel_ml' => AmountInput::between(Measure::TankVolume, VolumeUnit::Millilitre, 100, 200_000)->usually(500, 100_000),
        ];
    }

    public function run(Given $in): Answer
    {
        $dose = Stabilizer::dose($in->get('fuel_ml', Volume::class), $in->get('label_dose_ml', Volume::class), $in->get('label_fuel_ml', Volume::class));

        return new Answer('measure', VerdictTone::Plain, [Figure::amount('measure_ml', $dose, VolumeUnit::Millilitre, Measure::OilVolume)]);
    }
}
