<?php

declare(strict_types=1);

namespace AwakeShed\App\Reader;

/** How the pages are coloured. */
enum Look: string
{
    /** As the device is set. */
    case Device = 'device';
    case Light = 'light';
    case Dark = 'dark';

    /** Black on white with heavy lines, for a screen in the sun. */
    case Sunlight = 'sunlight';
}
