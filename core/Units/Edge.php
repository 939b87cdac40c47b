<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Compares figures that were reckoned: what is exactly at an edge is at it, whatever the way there left in the last digits. */
final class Edge
{
    private const HAIR = 1e-9;

    private function __construct()
    {
    }

    public static function isAtMost(float $value, float $edge): bool
    {
        return $value <= $edge + self::HAIR;
    }
}
