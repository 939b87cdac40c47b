<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sight;

/**
 * A line on a photo along which is measured: what the camera's lean turns, it turns too. Heights are counted along it
 * from its foot.
 */
final readonly class Axis
{
    /** Nearer together than this, two points are one. */
    private const APART = 2.0;

    private function __construct(private Point $foot, private float $alongX, private float $alongY)
    {
    }

    /** Straight up, of a camera that was held level. */
    public static function upright(Point $foot): self
    {
        return new self($foot, 0.0, -1.0);
    }

    /**
     * @param Point $foot from which is counted
     * @param Point $from lower end of what is known to be straight
     * @param Point $to   upper end
     *
     * @throws UnreadablePhoto when the two are one
     */
    public static function along(Point $foot, Point $from, Point $to): self
    {
        $length = $from->distance($to);
        if ($length < self::APART) {
            throw UnreadablePhoto::together();
        }

        return new self($foot, ($to->x - $from->x) / $length, ($to->y - $from->y) / $length);
    }

    /** @return float px from the foot; negative below it */
    public function height(Point $point): float
    {
        return ($point->x - $this->foot->x) * $this->alongX + ($point->y - $this->foot->y) * $this->alongY;
    }

    /**
     * Where a point lies between the foot and another: 0 at the foot, 1 at the other.
     *
     * @param float $error half-width of a point, px
     *
     * @return array{float, float} share and its half-width, all three points erring by themselves
     *
     * @throws UnreadablePhoto when foot and top are one
     */
    public function share(Point $between, Point $top, float $error): array
    {
        $whole = $this->height($top);
        if (abs($whole) < self::APART) {
            throw UnreadablePhoto::together();
        }
        $share = $this->height($between) / $whole;

        return [$share, $error / abs($whole) * sqrt(1 + (1 - $share) ** 2 + $share ** 2)];
    }
}
