<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** What the fuel in a jar is good for, best first. */
enum FuelDecision: string
{
    /** Nothing came out. */
    case Empty = 'empty';

    case Use = 'use';

    /** Something that decides has not been looked at yet. */
    case Undecided = 'undecided';

    case PartsWashingOnly = 'parts_washing_only';

    case Discard = 'discard';
}
