<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

enum GapFit: string
{
    case Tight = 'tight';
    case Fits = 'fits';
    case Wide = 'wide';

    /** Within the one end that is known. */
    case HalfKnown = 'half_known';
}
