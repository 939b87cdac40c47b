<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** Why an operation is not planned. */
enum WhyNot: string
{
    /** It waits for itself. */
    case Cycle = 'cycle';

    /** Longer than anything it uses is ever open. */
    case LongerThanAnyOpening = 'longer_than_any_opening';

    /** Its fixed start is before its release, before what it waits for can have ended, or where what it uses is closed or taken. */
    case PinConflict = 'pin_conflict';

    /** Whatever is done, it would wait longer than it may. */
    case WaitsTooLong = 'waits_too_long';

    /** What it waits for is not planned. */
    case FollowsUnplanned = 'follows_unplanned';

    /** Nothing of what it uses has room for it before it closes for good. */
    case NoRoom = 'no_room';

    /** In words, as the open plan format gives them. */
    public function inWords(): string
    {
        return match ($this) {
            self::Cycle => 'a cycle in after: it waits for itself',
            self::LongerThanAnyOpening => 'longer than any opening of what it uses',
            self::PinConflict => 'pinned against a release, a predecessor, an opening or another pin',
            self::WaitsTooLong => 'it would wait longer than it may',
            self::FollowsUnplanned => 'follows an operation that is not planned',
            self::NoRoom => 'no room',
        };
    }
}
