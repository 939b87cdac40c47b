<?php

declare(strict_types=1);

namespace AwakeShed\Core\Repair;

/** The ways with a carburetor. */
enum Way: string
{
    case Clean = 'clean';
    case Kit = 'kit';

    /** A sound one off another machine, cleaned. */
    case Donor = 'donor';
    case Replace = 'replace';
}
