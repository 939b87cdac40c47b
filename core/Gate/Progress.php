<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

/** Where a job has got to, in the trade's order. */
enum Progress: string
{
    /** Only the owner has spoken yet. */
    case TakenIn = 'taken_in';

    /** A hold stands: nothing may turn, or start, before it is cured. */
    case Stopped = 'stopped';
    case AtGates = 'at_gates';

    /** The carburetor is apart, or refitted and not checked: nothing else goes on before that. */
    case Apart = 'apart';
    case AtFuel = 'at_fuel';

    /** Gates and fuel are done: on to spark, compression and the bypass. */
    case Ready = 'ready';
}
