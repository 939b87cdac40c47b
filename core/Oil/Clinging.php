<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

/**
 * What stays in a crankcase after it was drained, where nobody measured it: common practice, a tenth of the filling when
 * drained warm and level. Of how much gas was in what drained nothing is assumed to cling, so that what is said of it is
 * the least it can have been.
 */
final readonly class Clinging
{
    /** Of the filling, 0 to 1. */
    public const SHARE = 0.10;

    private function __construct()
    {
    }
}
