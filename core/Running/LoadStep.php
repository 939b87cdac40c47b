<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\Power;
use AwakeShed\Core\Units\Voltage;

/** What a generator showed once it had settled under a load. */
final readonly class LoadStep
{
    public function __construct(public Power $load, public Voltage $voltage, public Frequency $frequency)
    {
    }
}
