<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

/** How an entry came in. */
enum Source: string
{
    case Bench = 'bench';
    case Intake = 'intake';
    case Import = 'import';
}
