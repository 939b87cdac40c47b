<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** What the jar shows against the light, once it has stood. */
enum Clarity: string
{
    case Clear = 'clear';

    /** Drops too fine to settle: near the water the fuel can hold. */
    case Hazy = 'hazy';
}
