<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

final class FuelInOilCalculation implements Calculation
{
    public function name(): string
    {
        return 'fuel-in-oil';
    }

    public function topic(): Topic
    {
        return Topic::Oil;
    }

    public function act(): string
    {
        return 'look.oil_level';
    }

    public function inputs(): array
    {
        return [
            ...DilutedOil::mark(),
            'drained_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 0, 20_000)->usually(200, 4_000),
            'left_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 0, 10_000)->usually(0, 300)->optional(),
            'error_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 0, 1_000)->usually(1, 100)->by(10),
            ...DilutedOil::oil(),
        ];
    }

    public function run(Given $in): Answer
    {
        $drained = $in->get('drained_ml', Volume::class);
        $dilution = Dilution::drained($in->get('mark_ml', Volume::class), $drained, $in->find('left_ml', Volume::class), $in->get('error_ml', Volume::class));

        return DilutedOil::answer($in, $dilution, ['drained_ml' => round($drained->inMillilitres(), 1)]);
    }
}
