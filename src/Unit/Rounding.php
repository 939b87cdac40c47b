<?php

declare(strict_types=1);

namespace AwakeShed\App\Unit;

/** Which way a figure is rounded for showing: a limit never up, what is held against it never down, so that no sentence contradicts its figures. */
enum Rounding
{
    case Nearest;
    case Down;
    case Up;

    public function round(float $amount, int $decimals): float
    {
        $scale = 10 ** $decimals;
        // The last digits of a conversion are no reason to move on by one.
        $slack = 1e-9 * max(1.0, abs($amount * $scale));

        return match ($this) {
            self::Nearest => round($amount, $decimals),
            self::Down => floor($amount * $scale + $slack) / $scale,
            self::Up => ceil($amount * $scale - $slack) / $scale,
        };
    }
}
