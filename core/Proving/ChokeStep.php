<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

/** How the choke stood for a start. */
enum ChokeStep: string
{
    case Full = 'full';
    case Half = 'half';
    case Open = 'open';

    /** Its plate goes by warmth or vacuum; nobody sets it. */
    case Automatic = 'automatic';
}
