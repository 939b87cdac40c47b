<?php

declare(strict_types=1);

namespace AwakeShed\Core\Repair;

use AwakeShed\Core\Units\Money;

/** What a way comes to on the average, fallback and comebacks counted in. */
final readonly class WayCost
{
    public function __construct(
        public WayOdds $way,
        public Money $expected,
        /** At the odds that are not exceeded with 90 %, and with 10 %: cheap and dear end of the 80 % interval. */
        public Money $least,
        public Money $most,
        /** Where the middle 80 % of what is believed of its working lie. */
        public float $oddsLeast,
        public float $oddsMost,
    ) {
    }
}
