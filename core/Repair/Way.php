<?php

declare(strict_types=1);

namespace AwakeShed\Core\Repair;

/** The three ways with a carburetor. */
enum Way: string
{
    case Clean = 'clean';
    case Kit = 'kit';
    case Replace = 'replace';
}
