<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** Solids seen in a jar; more than one may hold. */
enum Specks: string
{
    case Dirt = 'dirt';

    case Rust = 'rust';

    /** Water, ethanol and corrosion together. */
    case Jelly = 'jelly';
}
