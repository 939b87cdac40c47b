<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Drawing\CylinderDrawing;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Spec\EngineClasses;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

final class HydrolockCalculation implements Calculation
{
    /** Of a small four-stroke of any size (common practice). */
    private const USUAL_RATIO = 8.5;

    public function __construct(private readonly EngineClasses $classes)
    {
    }

    public function name(): string
    {
        return 'hydrolock';
    }

    public function topic(): Topic
    {
        return Topic::Cylinder;
    }

    public function act(): null
    {
        return null;
    }

    public function inputs(): array
    {
        return [
            'displacement_cc' => AmountInput::between(Measure::Displacement, VolumeUnit::CubicCentimetre, 10, 2_000)->usually(20, 800)->inSpecBook(SpecFigure::Displacement),
            'compression_ratio' => AmountInput::between(Measure::CompressionRatio, RatioUnit::ToOne, 3, 20)->optional()->usually(5, 12)->inSpecBook(SpecFigure::CompressionRatio),
            'liquid_ml' => AmountInput::between(Measure::CylinderVolume, VolumeUnit::Millilitre, 0, 3_000)->by(0),
            'drops_per_minute' => AmountInput::between(Measure::DropRate, FrequencyUnit::PerMinute, 0.01, 600)->by(6),
            'drop_ml' => AmountInput::between(Measure::DropVolume, VolumeUnit::Millilitre, 0.01, 0.1)->by(0.025),
        ];
    }

    public function run(Given $in): Answer
    {
        $displacement = $in->get('displacement_cc', Volume::class);
        $known = $in->find('compression_ratio', Ratio::class);
        $typical = $this->classes->forEngine(null, $displacement->in(VolumeUnit::CubicCentimetre))?->values[SpecFigure::CompressionRatio->value] ?? null;
        $ratio = $known ?? Ratio::of($typical->amount ?? self::USUAL_RATIO, RatioUnit::ToOne);
        $cylinder = Hydrolock::in($displacement, $ratio, $in->get('liquid_ml', Volume::class));
        $effective = $cylinder->effectiveCompression();

        return new Answer(
            match (true) {
                $cylinder->isLocked() => 'locked',
                $cylinder->liquid->inMillilitres() > 0.0 => 'wet',
                default => 'dry',
            },
            match (true) {
                $cylinder->isLocked() => VerdictTone::Bad,
                $cylinder->liquid->inMillilitres() > 0.0 => VerdictTone::Ask,
                default => VerdictTone::Plain,
            },
            [
                Figure::amount('clearance_ml', $cylinder->clearance, VolumeUnit::Millilitre, Measure::CylinderVolume),
                Figure::amount('liquid_ml', $cylinder->liquid, VolumeUnit::Millilitre, Measure::CylinderVolume),
                Figure::yesNo('locked', $cylinder->isLocked()),
                Figure::amount('effective_compression', $effective, RatioUnit::ToOne, Measure::CompressionRatio),
                Figure::amount('minutes_to_fill', $cylinder->timeToFill($in->get('drops_per_minute', Frequency::class), $in->get('drop_ml', Volume::class)), DurationUnit::Minute, Measure::BenchTime),
                Figure::amount('ratio_used', $ratio, RatioUnit::ToOne, Measure::CompressionRatio),
                Figure::yesNo('ratio_unverified', null === $known),
            ],
            drawing: CylinderDrawing::ofHydrolock($cylinder),
        );
    }
}
