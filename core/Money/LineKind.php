<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

/** What a line of a bill is for. */
enum LineKind: string
{
    case Labor = 'labor';
    case Part = 'part';
    case Consumables = 'consumables';

    /** Taking away stale fuel and oil. */
    case WasteFee = 'waste_fee';
    case Other = 'other';
}
