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
use AwakeShed\Core\Fuel\Premix;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('premix', Topic::Fuel)]
final class PremixCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'fuel_ml' => AmountInput::between(Measure::TankVolume, VolumeUnit::Millilitre, 50, 200_000)->usually(200, 40_000)->inSpecBook(SpecFigure::Tank),
            'parts_to_one' => AmountInput::between(Measure::CompressionRatio, RatioUnit::ToOne, 10, 200)->by(50)->usually(16, 100),
        ];
    }

    public function run(Given $in): Answer
    {
        return new Answer('measure', VerdictTone::Plain, [
            Figure::amount('measure_ml', Premix::oil($in->get('fuel_ml', Volume::class), $in->get('parts_to_one', Ratio::class)->in(RatioUnit::ToOne)), VolumeUnit::Millilitre, Measure::OilVolume),
        ]);
    }
}
