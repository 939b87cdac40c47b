<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sight;

use AwakeShed\Core\Units\ImpossibleAmount;

/** The layers of a straight jar on a photo: of one width all the way, so that heights are volumes. */
final readonly class PhotoJar
{
    /** A tap with a finger on a phone is good to so many pixels of the photo (common practice: a hair of the picture). */
    public const TAP_ERROR = 4.0;

    private function __construct(
        /** Of the lower layer, 0 to 1. */
        public float $lower,
        public float $halfWidth,
    ) {
    }

    /**
     * @param Point      $bottom    of the fuel
     * @param Point|null $interface between the layers; null for one layer
     * @param Point      $surface   of the fuel
     * @param Point|null $edgeLow   a straight side of the jar, below; with the next one the camera's lean is taken out
     * @param Point|null $edgeHigh  the same side, above
     * @param float      $error     half-width of a point, 0 to 100 px
     *
     * @throws UnreadablePhoto  when points that should be apart are one, or out of order beyond the error
     * @throws ImpossibleAmount when the error is outside its interval
     */
    public static function read(Point $bottom, ?Point $interface, Point $surface, ?Point $edgeLow, ?Point $edgeHigh, float $error): self
    {
        ImpossibleAmount::unlessBetween($error, 0.0, 100.0, 'px');
        $axis = null === $edgeLow || null === $edgeHigh ? Axis::upright($bottom) : Axis::along($bottom, $edgeLow, $edgeHigh);
        if (null === $interface) {
            [, $half] = $axis->share($bottom, $surface, $error);

            return new self(0.0, $half);
        }
        [$share, $half] = $axis->share($interface, $surface, $error);
        if ($share < -$half || $share > 1 + $half) {
            throw UnreadablePhoto::outOfOrder();
        }

        return new self(min(1.0, max(0.0, $share)), $half);
    }
}
