<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

use AwakeShed\Core\Refusal;

/** What was typed is asked back, with what may have been meant. */
interface OffersReadings extends Refusal
{
    /** What was typed. */
    public function typed(): string;

    /** @return non-empty-list<string> each may be typed instead, and is read in one way only */
    public function readings(): array;
}
