<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

/** What stays in a crankcase after it was drained, where nobody measured it: a tenth of the filling when drained warm and level, give or take half of that (common practice). */
final readonly class Clinging
{
    /** Of the filling, 0 to 1. */
    public const SHARE = 0.10;

    /** Half-width of the share. */
    public const ERROR = 0.05;

    private function __construct()
    {
    }
}
