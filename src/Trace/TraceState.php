<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

enum TraceState: string
{
    /** A gauge is being read, or was when the connection broke. */
    case Recording = 'recording';
    case Done = 'done';
}
