<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

/** What a leak-down share means (common practice). */
enum LeakDownBand: string
{
    case Good = 'good';
    case Usable = 'usable';

    /** More than a sound engine has, and not yet a repair by itself. */
    case Worn = 'worn';
    case FindIt = 'find_it';
}
