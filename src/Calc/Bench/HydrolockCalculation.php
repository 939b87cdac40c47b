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
use AwakeShed\App\Drawing\CylinderDrawing;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Spec\EngineClasses;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

#[AsCalculation('hydrolock', Topic::Cylinder)]
final class HydrolockCalculation implements Calculation
{
    use Described;

    /** Of a small four-stroke of any size (common practice). */
    private const USUAL_RATIO = 8.5;

    /** @param \Closure(): EngineClasses $classes asked only where nobody says the ratio */
    public function __construct(#[AutowireServiceClosure(EngineClasses::class)] private readonly \Closure $classes)
    {
    }

    protected function asks(): array
    {
        return [
            'displacement_cc' => AmountInput::between(Measure::Displacement, VolumeUnit::CubicCentimetre, 10, 2_000)->usually(20, 800)->inSpecBook(SpecFigure::Displacement),
            'cylinders' => AmountInput::between(Measure::Pieces, CountUnit::Each, 1, 2)->optional()->inSpecBook(SpecFigure::Cylinders),
            'compression_ratio' => AmountInput::between(Measure::CompressionRatio, RatioUnit::ToOne, 3, 20)->optional()->usually(5, 12)->inSpecBook(SpecFigure::CompressionRatio),
            'liquid_ml' => AmountInput::between(Measure::CylinderVolume, VolumeUnit::Millilitre, 0, 3_000)->usually(0, 200)->by(0),
            'error_ml' => AmountInput::between(Measure::CylinderVolume, VolumeUnit::Millilitre, 0, 500)->by(1)->usually(0, 20),
            'drops_per_minute' => AmountInput::between(Measure::DropRate, FrequencyUnit::PerMinute, 0.01, 600)->usually(0.1, 200)->by(6),
            'drop_ml' => AmountInput::between(Measure::DropVolume, VolumeUnit::Millilitre, 0.01, 0.1)->by(0.025),
        ];
    }

    public function run(Given $in): Answer
    {
        $displacement = $in->get('displacement_cc', Volume::class);
        $known = $in->find('compression_ratio', Ratio::class);
        $ratio = $known ?? $this->usual($displacement);
        $counted = $in->find('cylinders', Count::class);
        $cylinders = null === $counted ? Hydrolock::usualCylinders($displacement) : (int) round($counted->inEach());
        $cylinder = Hydrolock::in($displacement->times(1 / $cylinders), $ratio, $in->get('liquid_ml', Volume::class), $in->get('error_ml', Volume::class), null === $known ? Hydrolock::ASSUMED_RATIO_ERROR : 0.0);
        $effective = $cylinder->effectiveCompression();

        return new Answer(
            match (true) {
                $cylinder->isLocked() => 'locked',
                $cylinder->mayLock() => 'may_lock',
                $cylinder->liquid->inMillilitres() > 0.0 => 'wet',
                default => 'dry',
            },
            match (true) {
                $cylinder->isLocked(), $cylinder->mayLock() => VerdictTone::Bad,
                $cylinder->liquid->inMillilitres() > 0.0 => VerdictTone::Ask,
                default => VerdictTone::Plain,
            },
            [
                Figure::limit('clearance_ml', $cylinder->clearance, VolumeUnit::Millilitre, Measure::CylinderVolume),
                Figure::against('liquid_ml', $cylinder->liquid, VolumeUnit::Millilitre, Measure::CylinderVolume),
                Figure::yesNo('locked', $cylinder->isLocked()),
                Figure::yesNo('may_lock', $cylinder->mayLock()),
                Figure::number('cylinders_used', $cylinders),
                Figure::yesNo('cylinders_unverified', null === $counted),
                Figure::amount('effective_compression', $effective, RatioUnit::ToOne, Measure::CompressionRatio),
                Figure::amount('minutes_to_fill', $cylinder->timeToFill($in->get('drops_per_minute', Frequency::class), $in->get('drop_ml', Volume::class)), DurationUnit::Minute, Measure::BenchTime),
                Figure::amount('ratio_used', $ratio, RatioUnit::ToOne, Measure::CompressionRatio),
                Figure::yesNo('ratio_unverified', null === $known),
            ],
            drawing: CylinderDrawing::ofHydrolock($cylinder),
        );
    }

    private function usual(Volume $displacement): Ratio
    {
        $typical = ($this->classes)()->forEngine(null, $displacement->in(VolumeUnit::CubicCentimetre))?->values[SpecFigure::CompressionRatio->value] ?? null;

        return Ratio::of($typical->amount ?? self::USUAL_RATIO, RatioUnit::ToOne);
    }
}
