<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** What can be done at the carburetor bench and is written down. */
enum MoveKind: string
{
    /** A ledger is begun, of a carburetor type or free. */
    case Begin = 'begin';

    /** A part comes off. */
    case Off = 'off';

    /** Something is noted of a part that is off. */
    case Note = 'note';

    case Condition = 'condition';
    case Keep = 'keep';

    /** A part is cleaned one way. */
    case Clean = 'clean';

    /** A part, or the new one in its stead, goes back. */
    case On = 'on';

    /** A hole is sprayed, and cleaner comes out of another. */
    case Through = 'through';

    /** A hole is sprayed, or lit through, and nothing comes. */
    case Blocked = 'blocked';

    /** Holes of a passage that are counted open. */
    case Holes = 'holes';

    /** A point of the check before the covers. */
    case Check = 'check';

    /** The ledger is closed. */
    case Close = 'close';
}
