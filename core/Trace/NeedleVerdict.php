<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

/** What pressure on a carburetor's inlet says of its needle and seat. */
enum NeedleVerdict: string
{
    case Seals = 'seals';

    /** Loses slowly. */
    case Marginal = 'marginal';
    case Leaks = 'leaks';

    /** Loses nothing, at less than it should hold. */
    case HoldsTooLow = 'holds_too_low';

    /** Pumped past 10 psi without lifting: too stiff a spring, or stuck. */
    case NoPopOff = 'no_pop_off';

    /** Lifts, past 10 psi: too stiff, or sticking. */
    case LiftsHigh = 'lifts_high';

    /** It rose while it was to be left alone: somebody pumped, or it warmed. */
    case Rises = 'rises';

    /** Holds, and was not pumped far enough to know where it lifts. */
    case HoldsPopOffUnknown = 'holds_pop_off_unknown';
    case NotEnough = 'not_enough';

    /** @return string|null outcome of the vocabulary's test `needle.pressure`; null when it says nothing */
    public function outcome(): ?string
    {
        return match ($this) {
            self::Seals, self::HoldsPopOffUnknown => 'holds',
            // A needle that lets a little by today floods the crankcase in a month.
            self::Marginal, self::Leaks, self::HoldsTooLow => 'leaks',
            self::NoPopOff, self::LiftsHigh, self::Rises, self::NotEnough => null,
        };
    }
}
