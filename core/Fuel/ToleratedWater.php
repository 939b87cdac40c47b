<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\Volume;

/** Water a tank holds in solution, counted from dry fuel: what it has taken up already comes off this. */
final readonly class ToleratedWater
{
    public function __construct(
        public Volume $water,
        /** Half-width of the estimate. */
        public Volume $halfWidth,
        /** Fraction of the fuel by volume. */
        public float $fraction,
        /** Whether the figure leans on table entries that are from memory. */
        public bool $fromMemory,
    ) {
    }
}
