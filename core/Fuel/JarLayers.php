<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/** What stands in a straight-walled jar: how high the fuel stands, how much it is, and how much of it lies below. */
final readonly class JarLayers
{
    private function __construct(public Length $height, public Volume $total, public Volume $lower, public ?LayerEdge $edge)
    {
    }

    /**
     * @param Length         $height of all that is in the jar, 5 to 500 mm
     * @param Volume         $total  0 (nothing came) to 5000 mL
     * @param Volume         $lower  0 (one layer) to the total
     * @param LayerEdge|null $edge   meaningless, and dropped, when there is one layer
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside its interval
     */
    public static function read(Length $height, Volume $total, Volume $lower, ?LayerEdge $edge = null): self
    {
        (new Interval(5.0, 500.0, LengthUnit::Millimetre))->demand($height);
        (new Interval(0.0, 5000.0, VolumeUnit::Millilitre))->demand($total);
        (new Interval(0.0, $total->inMillilitres(), VolumeUnit::Millilitre))->demand($lower);

        return new self($height, $total, $lower, $lower->isGreaterThan(Volume::zero()) ? $edge : null);
    }

    public function isEmpty(): bool
    {
        return !$this->total->isGreaterThan(Volume::zero());
    }

    public function hasTwo(): bool
    {
        return $this->lower->isGreaterThan(Volume::zero());
    }

    /** The lower layer's share of the contents, and so of the height; 0 to 1. */
    public function lowerShare(): float
    {
        return $this->isEmpty() ? 0.0 : $this->lower->over($this->total);
    }
}
