<?php

declare(strict_types=1);

namespace AwakeShed\Core\LayUp;

use AwakeShed\Core\Units\Volume;

/** One step of laying a machine up, with how much and how long where that is reckoned. */
final readonly class LayUpStep
{
    /** @param string $step of the stage of laying up */
    public function __construct(public string $step, public ?Volume $amount = null, public ?int $minutes = null)
    {
    }
}
