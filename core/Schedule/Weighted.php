<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

use Random\Randomizer;

/** One of several, the oftener the more it costs. */
final readonly class Weighted
{
    private function __construct()
    {
    }

    /**
     * @param array<int, int> $costs each 0 or more, together more than 0
     *
     * @return int the key of the one that was drawn
     */
    public static function draw(Randomizer $dice, array $costs): int
    {
        $roll = $dice->getInt(0, (int) array_sum($costs) - 1);
        foreach ($costs as $key => $cost) {
            $roll -= $cost;
            if ($roll < 0) {
                return $key;
            }
        }
        throw new \LogicException('Nothing costs anything.');
    }
}
