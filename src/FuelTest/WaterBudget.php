<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\ToleratedWater;

/** How much water a tank holds now and at tonight's low, and how the ethanol content it rests on is known. */
final readonly class WaterBudget
{
    public function __construct(
        public ToleratedWater $now,
        public ToleratedWater $tonight,
        /** Fraction by volume. */
        public float $ethanol,
        public EthanolSource $source,
    ) {
    }
}
