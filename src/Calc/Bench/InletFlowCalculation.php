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
use AwakeShed\Core\Running\InletFlow;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Share;
use AwakeShed\Core\Units\ShareUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('inlet-flow', Topic::Washer)]
final class InletFlowCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'bucket_ml' => AmountInput::between(Measure::BucketVolume, VolumeUnit::Millilitre, 0, 200_000)->usually(2_000, 60_000),
            'seconds' => AmountInput::between(Measure::Stopwatch, DurationUnit::Second, 1, 1_800)->timed()->usually(5, 600),
            'gal_per_min' => AmountInput::between(Measure::WaterFlow, FlowUnit::GallonPerMinute, 0.2, 20)->usually(0.8, 8)->inSpecBook(SpecFigure::PumpFlow),
            'marks_percent' => AmountInput::between(Measure::Share, ShareUnit::Percent, 0, 50)->usually(1, 10)->by(3),
            'thumb_seconds' => AmountInput::between(Measure::Stopwatch, DurationUnit::Second, 0, 10)->usually(0.2, 2)->by(0.5),
        ];
    }

    public function run(Given $in): Answer
    {
        $inlet = InletFlow::fromBucket($in->get('bucket_ml', Volume::class), $in->get('seconds', Duration::class), $in->get('gal_per_min', VolumeFlow::class), $in->get('marks_percent', Share::class)->asFraction(), $in->get('thumb_seconds', Duration::class));

        return new Answer(match (true) {
            $inlet->isEnough() => 'enough',
            $inlet->isShort() => 'short',
            default => 'may_be_short',
        }, $inlet->isEnough() ? VerdictTone::Good : VerdictTone::Bad, [
            Figure::amount('supply_l_per_min', $inlet->supply, FlowUnit::LitrePerMinute, Measure::WaterFlow),
            Figure::number('margin', $inlet->margin(), 2),
            Figure::number('margin_half_width', $inlet->halfWidth(), 2),
        ]);
    }
}
