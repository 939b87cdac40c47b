<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('fuel-over-mark', Topic::Oil, 'look.oil_level')]
final class FuelOverMarkCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            ...DilutedOil::mark(),
            'over_mm' => AmountInput::between(Measure::DipstickHeight, LengthUnit::Millimetre, 0, 200)->usually(0, 40),
            'ml_per_mm' => AmountInput::between(Measure::DipstickVolume, VolumeUnit::Millilitre, 0.1, 100)->usually(2, 60)->inSpecBook(SpecFigure::OilPerMillimetre),
            'error_mm' => AmountInput::between(Measure::DipstickHeight, LengthUnit::Millimetre, 0, 50)->by(1),
            ...DilutedOil::oil(),
        ];
    }

    public function run(Given $in): Answer
    {
        $over = $in->get('over_mm', Length::class);
        $dilution = Dilution::overMark($in->get('mark_ml', Volume::class), $over, $in->get('ml_per_mm', Volume::class), $in->get('error_mm', Length::class));

        return DilutedOil::answer($in, $dilution, ['over_mm' => round($over->inMillimetres(), 1)]);
    }
}
