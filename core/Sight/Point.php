<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sight;

use AwakeShed\Core\Units\ImpossibleAmount;

/** A place on a photo, in its pixels: from the left, and from the top. */
final readonly class Point
{
    public const MOST = 30_000.0;

    private function __construct(public float $x, public float $y)
    {
    }

    /** @throws ImpossibleAmount unless both are 0 to 30 000 */
    public static function at(float $x, float $y): self
    {
        ImpossibleAmount::unlessBetween($x, 0.0, self::MOST, 'px');
        ImpossibleAmount::unlessBetween($y, 0.0, self::MOST, 'px');

        return new self($x, $y);
    }

    /** @return float px */
    public function distance(self $other): float
    {
        return hypot($this->x - $other->x, $this->y - $other->y);
    }
}
