<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

/** What a dilution asks for (common practice). */
enum DilutionBand: string
{
    public const WATCH_BELOW = 0.02;
    public const FLUSH_ABOVE = 0.05;

    case Watch = 'watch';
    case Change = 'change';

    /** Changed, flushed, and the needle that let it in dealt with. */
    case ChangeFlushAndCure = 'change_flush_cure';
}
