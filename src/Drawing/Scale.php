<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

/** Round numbers along a scale. */
final readonly class Scale
{
    private function __construct()
    {
    }

    /** @return list<float> about six round amounts from the least to the most */
    public static function ticks(float $least, float $most): array
    {
        $step = self::step($most - $least);
        $ticks = [];
        for ($number = (int) ceil($least / $step - 1e-9); $number * $step <= $most + 1e-9 * $step; ++$number) {
            $ticks[] = $number * $step;
        }

        return $ticks;
    }

    /** 1, 2 or 5 times a power of ten that makes about six steps of the span. */
    public static function step(float $span): float
    {
        $power = 10 ** floor(log10($span / 6));
        foreach ([1, 2, 5] as $factor) {
            if ($factor * $power >= $span / 6) {
                return $factor * $power;
            }
        }

        return 10 * $power;
    }
}
