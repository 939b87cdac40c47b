<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

/** How an engine is built to be pulled over, which decides what its compression gauge can show. */
enum Release: string
{
    /** Most small four-strokes: a valve is held open while it is pulled. */
    case Fitted = 'fitted';
    case NotFitted = 'not_fitted';
    case Unknown = 'unknown';
    case TwoStroke = 'two_stroke';
}
