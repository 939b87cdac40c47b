<?php

declare(strict_types=1);

namespace AwakeShed\Core\Service;

/** Why one item of service is to be done now, or that it is not. */
enum Due: string
{
    /** Something was found that wants it at once. */
    case Found = 'found';

    /** Nobody has written down that it ever was done. */
    case NeverDone = 'never_done';

    /** Its time is up. */
    case Overdue = 'overdue';

    /** It is not its time yet. */
    case Later = 'later';

    /** Done on this job. */
    case DoneNow = 'done_now';

    public function isDue(): bool
    {
        return match ($this) {
            self::Found, self::NeverDone, self::Overdue => true,
            self::Later, self::DoneNow => false,
        };
    }
}
