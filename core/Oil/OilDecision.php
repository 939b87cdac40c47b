<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

/** What the oil says about turning and starting an engine, from the freest to the strictest. */
enum OilDecision: string
{
    /** A two-stroke is oiled by its fuel. */
    case NotApplicable = 'not_applicable';
    case GoOn = 'go_on';

    /** A little over the mark, sound otherwise: drained to the mark when convenient. */
    case ChangeSoon = 'change_soon';

    /** May be turned by hand; not started on this oil. */
    case ChangeBeforeStart = 'change_before_start';
    case TopUp = 'top_up';

    /** Nobody has looked yet. */
    case NotLooked = 'not_looked';

    /** The level is read; smell, body or colour is not. */
    case Incomplete = 'incomplete';

    /** Cured; to be read once more before anything turns. */
    case LookAgain = 'look_again';

    /** No reading of the level can be had until the dipstick is. */
    case PartNeeded = 'part_needed';

    /** Gasoline in the crankcase, or so much over the mark that it must be taken for it. */
    case DrainFirst = 'drain_first';

    /** Whether the oil lets the engine be turned over by hand or by its starter. */
    public function letsTurn(): bool
    {
        return match ($this) {
            self::NotApplicable, self::GoOn, self::ChangeSoon, self::ChangeBeforeStart, self::TopUp => true,
            self::NotLooked, self::Incomplete, self::LookAgain, self::PartNeeded, self::DrainFirst => false,
        };
    }

    public function letsStart(): bool
    {
        return match ($this) {
            self::NotApplicable, self::GoOn, self::ChangeSoon => true,
            self::ChangeBeforeStart, self::TopUp, self::NotLooked, self::Incomplete,
            self::LookAgain, self::PartNeeded, self::DrainFirst => false,
        };
    }
}
