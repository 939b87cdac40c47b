<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** What becomes of a part that came off. */
enum PartFate: string
{
    case Reuse = 'reuse';
    case Clean = 'clean';
    case Renew = 'renew';
}
