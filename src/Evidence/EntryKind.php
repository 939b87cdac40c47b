<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

enum EntryKind: string
{
    /** Something was seen, measured, said or done. */
    case Observation = 'observation';

    /** An earlier entry was wrong, and this is what it should have said. */
    case Correction = 'correction';

    /** An earlier entry is taken back. */
    case Withdrawal = 'withdrawal';
}
