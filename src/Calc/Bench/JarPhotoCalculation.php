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
use AwakeShed\App\Calc\Input\PointInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Sight\PhotoJar;
use AwakeShed\Core\Sight\Point;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('jar-photo', Topic::Fuel)]
final class JarPhotoCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'bottom' => new PointInput(),
            'interface' => new PointInput(true),
            'surface' => new PointInput(),
            'edge_low' => new PointInput(true),
            'edge_high' => new PointInput(true),
            'total_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 1, 5_000)->usually(20, 500)->by(100),
            'tap_error_px' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 100)->usually(1, 30)->by(PhotoJar::TAP_ERROR),
        ];
    }

    public function run(Given $in): Answer
    {
        $total = $in->get('total_ml', Volume::class);
        $jar = PhotoJar::read($in->get('bottom', Point::class), $in->find('interface', Point::class), $in->get('surface', Point::class), $in->find('edge_low', Point::class), $in->find('edge_high', Point::class), $in->get('tap_error_px', Count::class)->inEach());
        $error = $total->times($jar->halfWidth);

        return new Answer(0.0 === $jar->lower ? 'one' : 'two', VerdictTone::Plain, [
            Figure::share('lower_share', $jar->lower),
            Figure::share('lower_half_width', $jar->halfWidth),
            Figure::within('lower_ml', $total->times($jar->lower), $error, VolumeUnit::Millilitre, Measure::JarVolume),
            Figure::within('upper_ml', $total->times(1 - $jar->lower), $error, VolumeUnit::Millilitre, Measure::JarVolume),
            Figure::amount('total_ml', $total, VolumeUnit::Millilitre, Measure::JarVolume),
        ]);
    }
}
