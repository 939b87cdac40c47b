<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

/** The elements of the line, in the order fuel meets them; air and spark join before the cylinder, and behind it comes what the engine breathes out through, drives, is held by and is started with. */
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
    case Exhaust = 'exhaust';
    case Output = 'output';
    case Governor = 'governor';
    case Starter = 'starter';
}
