<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

/** What an owner said to an estimate. */
enum OwnersWord: string
{
    case Approved = 'approved';

    /** Up to a sum, and no further without asking. */
    case Capped = 'capped';
    case Declined = 'declined';
}
