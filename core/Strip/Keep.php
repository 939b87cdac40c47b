<?php

declare(strict_types=1);

namespace AwakeShed\Core\Strip;

/** What becomes of a part that came off. */
enum Keep: string
{
    case Reuse = 'reuse';
    case Clean = 'clean';
    case Renew = 'renew';
}
