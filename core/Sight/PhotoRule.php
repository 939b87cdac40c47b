<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sight;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/** A distance on a photo by something of known length beside it, as far from the camera. */
final readonly class PhotoRule
{
    private function __construct(public Length $length, public Length $halfWidth)
    {
    }

    /**
     * @param Point  $from  of what is measured
     * @param Point  $zero  of what is known
     * @param Length $known 1 to 1000 mm
     * @param float  $error half-width of a point, 0 to 100 px
     *
     * @throws UnreadablePhoto  when both ends of what is known are one point
     * @throws ImpossibleAmount when one is outside its interval, or the length comes to more than a meter
     */
    public static function between(Point $from, Point $to, Point $zero, Point $end, Length $known, float $error): self
    {
        (new Interval(1.0, 1000.0, LengthUnit::Millimetre))->demand($known);
        ImpossibleAmount::unlessBetween($error, 0.0, 100.0, 'px');
        $scale = $zero->distance($end);
        if ($scale < 2.0) {
            throw UnreadablePhoto::together();
        }
        $length = $known->times($from->distance($to) / $scale);
        (new Interval(0.0, 1000.0, LengthUnit::Millimetre))->demand($length);

        // Two points of what is measured, two of the rule.
        return new self($length, $known->times(\M_SQRT2 * $error / $scale * sqrt(1 + ($from->distance($to) / $scale) ** 2)));
    }
}
