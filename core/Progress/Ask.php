<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

/** What would bring a machine back, and may be gone past with a reason. */
enum Ask: string
{
    /** A clean carburetor on a tank or a line that nobody knows to be clean. */
    case DirtyFeed = 'ask.dirty_feed';

    /** Started, or to be started, on fuel that is known to be stale. */
    case StaleStart = 'ask.stale_start';

    /** A needle was renewed, and not put under pressure since. */
    case NeedleUntested = 'ask.needle_untested';

    /** A first fill after gas in the oil that no second change followed. */
    case SecondChange = 'ask.second_change';

    /** A part that was to be cleaned went back as it was. */
    case PartUncleaned = 'ask.part_uncleaned';

    /** A screw came out before its turns were written down. */
    case TurnsUnwritten = 'ask.turns_unwritten';
}
