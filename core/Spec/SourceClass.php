<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spec;

/** How a figure is known, carried beside it wherever it goes. */
enum SourceClass: string
{
    /** In a standard, a manual or on a plate, which the note names. */
    case Published = 'published';
    case CommonPractice = 'common_practice';
    case FromMemory = 'from_memory';

    /** Read on the machine itself. */
    case Measured = 'measured';

    /** For the demo only. */
    case Invented = 'invented';
}
