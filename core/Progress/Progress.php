<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

/** Where a job has got to, in the trade's order. */
enum Progress: string
{
    /** Only the owner has spoken yet. */
    case TakenIn = 'taken_in';

    /** A hold stands: nothing may turn, or start, before it is cured. */
    case Stopped = 'stopped';
    case AtGates = 'at_gates';
    case AtFuel = 'at_fuel';
    case FindingTheCause = 'finding_the_cause';

    /** Bowl or carburetor is off. */
    case Apart = 'apart';

    /** Everything is on again and not checked yet, or something small is still out. */
    case GoingTogether = 'going_together';
    case BeforeFirstRun = 'before_first_run';

    /** It runs; what is left is to show that it goes on. */
    case Proving = 'proving';

    /** Nothing more can be done now: for a part, an owner, a timer, daylight. */
    case Waits = 'waits';
    case FitToGoHome = 'fit_to_go_home';
    case HandedBack = 'handed_back';
}
