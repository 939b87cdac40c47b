<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

enum ShedSort: string
{
    /** By the day the machine is wanted, soonest first. */
    case Wanted = 'wanted';
    case Newest = 'newest';
    case Machine = 'machine';
}
