<?php

declare(strict_types=1);

namespace AwakeShed\Core\Repair;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\Money;

/** One way: what it costs each time it is tried, and what is believed of its working the first time. */
final readonly class WayOdds
{
    /** How many jobs a rule of thumb is worth against the shop's own (invented, wide on purpose). */
    public const PRIOR_WEIGHT = 8.0;

    /** A kit into a swollen fixed seat; a new carburetor (common practice). */
    public const KIT_MEAN = 0.40;
    public const REPLACE_MEAN = 0.95;

    /** One off another machine, cleaned (from memory of shops' talk, wide). */
    public const DONOR_MEAN = 0.70;

    /** Into a pitted casting neither a cleaning nor a kit lasts (common practice). */
    public const PITTED_MEAN = 0.05;

    public function __construct(public Way $way, public Money $parts, public Duration $labor, public Beta $odds)
    {
    }
}
