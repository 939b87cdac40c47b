<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

enum Cycle: string
{
    case FourStroke = 'four_stroke';

    /** Lubricated by its fuel: no crankcase oil to look at. */
    case TwoStroke = 'two_stroke';
}
