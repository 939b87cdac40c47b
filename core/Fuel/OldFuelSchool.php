<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** What to do with fuel past six months that looks and smells well: the trade is of two minds. */
enum OldFuelSchool: string
{
    /** The default: drained whatever it smells like. */
    case DiscardPastSixMonths = 'discard_past_six_months';

    /** Kept when its history is known and it is clear and smells fresh. */
    case KeepIfClearAndFresh = 'keep_if_clear_and_fresh';
}
