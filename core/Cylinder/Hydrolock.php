<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/** A cylinder with liquid in it: geometry of the closed chamber; liquid is taken not to give at all. */
final readonly class Hydrolock
{
    /** A typical ratio is off by so much (common practice). */
    public const ASSUMED_RATIO_ERROR = 1.0;

    /** Single cylinders larger than this are rare: a larger engine has two until somebody says otherwise, which is the safe side (common practice). */
    private const LARGEST_SINGLE_CC = 550.0;

    private function __construct(
        /** What is left above the piston at the top. */
        public Volume $clearance,
        public Volume $liquid,
        private Volume $displacement,
        /** The least room that may be left, where the ratio is not known for sure. */
        private Volume $leastClearance,
        private Volume $liquidError,
    ) {
    }

    /**
     * @param Volume $displacement swept by one cylinder, 10 to 2000 cm³
     * @param Ratio  $compression  3 to 20, of the dry cylinder
     * @param Volume $liquid       0 mL to the swept volume and the clearance together
     * @param Volume $liquidError  half-width of what was found in it, 0 to 1 L
     * @param float  $ratioError   half-width of the ratio, 0 to 3; {@see ASSUMED_RATIO_ERROR} where it is a typical one
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function in(Volume $displacement, Ratio $compression, Volume $liquid, ?Volume $liquidError = null, float $ratioError = 0.0): self
    {
        (new Interval(10.0, 2000.0, VolumeUnit::CubicCentimetre))->demand($displacement);
        (new Interval(3.0, 20.0, RatioUnit::ToOne))->demand($compression);
        $clearance = $displacement->times(1 / ($compression->in(RatioUnit::ToOne) - 1));
        (new Interval(0.0, $displacement->plus($clearance)->inMillilitres(), VolumeUnit::Millilitre))->demand($liquid);

        $liquidError ??= Volume::zero();
        (new Interval(0.0, 1000.0, VolumeUnit::Millilitre))->demand($liquidError);
        ImpossibleAmount::unlessBetween($ratioError, 0.0, 3.0, ': 1');

        return new self($clearance, $liquid, $displacement, $displacement->times(1 / ($compression->in(RatioUnit::ToOne) + $ratioError - 1)), $liquidError);
    }

    /** The piston meets liquid before it reaches the top. */
    public function isLocked(): bool
    {
        return !$this->liquid->isLessThan($this->clearance);
    }

    /** It does not by the figures, and would within what is not known of them: to be treated as locked. */
    public function mayLock(): bool
    {
        return !$this->isLocked() && !$this->liquid->plus($this->liquidError)->isLessThan($this->leastClearance) && $this->liquid->isGreaterThan(Volume::zero());
    }

    /** @return int<1, 2> cylinders of an engine nobody counted them on */
    public static function usualCylinders(Volume $displacement): int
    {
        return $displacement->in(VolumeUnit::CubicCentimetre) > self::LARGEST_SINGLE_CC ? 2 : 1;
    }

    /** @return Ratio|null what the liquid makes of the compression ratio; null when it locks */
    public function effectiveCompression(): ?Ratio
    {
        if ($this->isLocked()) {
            return null;
        }
        $gas = $this->clearance->minus($this->liquid);

        return Ratio::of($this->displacement->plus($gas)->over($gas), RatioUnit::ToOne);
    }

    /**
     * How long a dripping needle takes to fill what is still dry above the piston at the top, once everything it lets
     * through runs into this cylinder.
     *
     * @param Frequency $drops 0.01 to 600 a minute
     * @param Volume    $drop  0.01 to 0.1 mL; gasoline 0.02 to 0.03 mL (common practice)
     *
     * @return Duration zero when it is locked already
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public function timeToFill(Frequency $drops, Volume $drop): Duration
    {
        (new Interval(0.01, 600.0, FrequencyUnit::PerMinute))->demand($drops);
        (new Interval(0.01, 0.1, VolumeUnit::Millilitre))->demand($drop);
        if ($this->isLocked()) {
            return Duration::zero();
        }

        return Duration::seconds($this->clearance->minus($this->liquid)->over($drop) / $drops->in(FrequencyUnit::Hertz));
    }
}
