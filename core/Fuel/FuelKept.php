<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** How fuel was kept. */
enum FuelKept: string
{
    /** In a tank that breathes, or a can that is not full. */
    case Vented = 'vented';

    /** Full to the neck, and shut. */
    case Sealed = 'sealed';
}
