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
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Sight\PhotoJar;
use AwakeShed\Core\Sight\PhotoStick;
use AwakeShed\Core\Sight\Point;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('stick-photo', Topic::Oil, 'look.oil_level')]
final class StickPhotoCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'low_mark' => new PointInput(),
            'full_mark' => new PointInput(),
            'oil' => new PointInput(),
            'between_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 5, 2_000)->usually(50, 600)->optional(),
            'tap_error_px' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 100)->usually(1, 30)->by(PhotoJar::TAP_ERROR),
        ];
    }

    public function run(Given $in): Answer
    {
        $stick = PhotoStick::read($in->get('low_mark', Point::class), $in->get('full_mark', Point::class), $in->get('oil', Point::class), $in->get('tap_error_px', Count::class)->inEach());
        $outcome = $stick->outcome();
        $between = $in->find('between_ml', Volume::class);

        return new Answer(
            $outcome ?? 'cannot_tell',
            match ($outcome) {
                'at_mark' => VerdictTone::Good,
                'far_over' => VerdictTone::Bad,
                default => VerdictTone::Ask,
            },
            [
                Figure::share('between_marks', $stick->share, 0),
                Figure::share('between_marks_half_width', $stick->halfWidth, 0),
                Figure::amount('to_full_ml', $between?->times(1 - $stick->share), VolumeUnit::Millilitre, Measure::OilVolume),
            ],
            null === $outcome ? [] : [Finding::observed('look.oil_level', $outcome)],
        );
    }
}
