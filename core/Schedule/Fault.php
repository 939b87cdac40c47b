<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** What is wrong with an operation where it stands. */
enum Fault: string
{
    case BeforeRelease = 'before_release';
    case BeforePredecessor = 'before_predecessor';
    case WaitsTooLong = 'waits_too_long';
    case NotAtItsPin = 'not_at_its_pin';
    case NotItsMinutes = 'not_its_minutes';
    case Closed = 'closed';
    case OverCapacity = 'over_capacity';
    case OtherCycle = 'other_cycle';
    case PredecessorUnplanned = 'predecessor_unplanned';
}
