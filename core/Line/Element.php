<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

/** The elements of the line, in the order fuel meets them; air and spark join before the cylinder. */
enum Element: string
{
    case Cap = 'cap';
    case Tank = 'tank';
    case Screen = 'screen';
    case Tap = 'tap';
    case Filter = 'filter';
    case Pipe = 'pipe';
    case Needle = 'needle';
    case Bowl = 'bowl';
    case Jets = 'jets';
    case Passages = 'passages';
    case Air = 'air';
    case Spark = 'spark';
    case Cylinder = 'cylinder';
    case Crankcase = 'crankcase';
}
