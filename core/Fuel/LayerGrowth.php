<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/**
 * What a measured dose of water did to the lower layer of a jar (common practice).
 *
 * Free water takes the dose and grows by just that; water that still finds ethanol in the fuel above pulls it down
 * and grows by more.
 */
final readonly class LayerGrowth
{
    private function __construct(
        public Volume $dose,
        public Volume $before,
        public Volume $after,
        public LayerGrowthOutcome $outcome,
    ) {
    }

    /**
     * @param Volume      $dose         water added, 0.5 to 500 mL
     * @param Volume      $before       lower layer before, 0 to 2000 mL
     * @param Volume      $after        lower layer after shaking and standing, 0 to 2500 mL
     * @param Volume|null $readingError half-width of each of the two readings; half a millilitre when not given
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when a volume is outside its interval
     * @throws ImpossibleGrowth                       when the layer shrank by more than the readings can err
     */
    public static function read(Volume $dose, Volume $before, Volume $after, ?Volume $readingError = null): self
    {
        $readingError ??= Volume::millilitres(WaterShift::READING_ERROR_ML);
        (new Interval(0.5, 500.0, VolumeUnit::Millilitre))->demand($dose);
        (new Interval(0.0, 2000.0, VolumeUnit::Millilitre))->demand($before);
        (new Interval(0.0, 2500.0, VolumeUnit::Millilitre))->demand($after);

        $growth = $after->minus($before);
        $beyondDose = $growth->minus($dose);
        // Both readings err; the crumb keeps a growth of exactly that much inside, rounding or not.
        $slack = $readingError->times(2.0 + 1e-9);
        if ($growth->plus($slack)->isLessThan(Volume::zero())) {
            throw ImpossibleGrowth::layerShrank($before, $after);
        }

        return new self($dose, $before, $after, match (true) {
            !$after->isGreaterThan($readingError) => LayerGrowthOutcome::NoLayer,
            $beyondDose->isGreaterThan($slack) => LayerGrowthOutcome::GrewByMore,
            default => LayerGrowthOutcome::GrewByDose,
        });
    }

    /** May be slightly negative: two readings err. */
    public function growth(): Volume
    {
        return $this->after->minus($this->before);
    }
}
