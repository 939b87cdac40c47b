<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

/** What a pressure trace says of a needle and its seat. */
enum NeedleVerdict: string
{
    case Seals = 'seals';

    /** Loses slowly, or reseats lower than it should. */
    case Marginal = 'marginal';
    case Leaks = 'leaks';

    /** Pumped past 10 psi without lifting: too stiff a spring, or stuck. */
    case NoPopOff = 'no_pop_off';

    /** Holds, and was not pumped far enough to know where it lifts. */
    case HoldsPopOffUnknown = 'holds_pop_off_unknown';
    case NotEnough = 'not_enough';

    /** @return string|null outcome of the vocabulary's test `needle.pressure`; null when it says nothing */
    public function outcome(): ?string
    {
        return match ($this) {
            self::Seals, self::HoldsPopOffUnknown => 'holds',
            // A needle that lets a little by today floods the crankcase in a month.
            self::Marginal, self::Leaks => 'leaks',
            self::NoPopOff, self::NotEnough => null,
        };
    }
}
