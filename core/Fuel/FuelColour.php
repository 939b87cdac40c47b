<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** Gasoline darkens as it oxidises. */
enum FuelColour: string
{
    case Straw = 'straw';
    case Amber = 'amber';
    case Brown = 'brown';
}
