<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

enum BlockerKind: string
{
    /** A look that has not been made. */
    case Look = 'look';

    /** A look that was made, found bad and cured, and must be made once more. */
    case LookAgain = 'look_again';

    case Hold = 'hold';

    /** An act that has to be done first, as the machine stands. */
    case Act = 'act';
}
