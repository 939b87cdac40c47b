<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** How fuel comes to the carburetor. */
enum Feed: string
{
    case Gravity = 'gravity';
    case Pump = 'pump';
}
