<?php

declare(strict_types=1);

namespace AwakeShed\App\Shelf;

/** Where a part on the shelf comes from. */
enum PartCondition: string
{
    case New = 'new';

    /** Off a machine, sound. */
    case Salvaged = 'salvaged';

    /** A whole carburetor or engine that gives parts. */
    case Donor = 'donor';
}
