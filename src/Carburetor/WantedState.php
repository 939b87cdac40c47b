<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

/** How far a wanted part is. */
enum WantedState: string
{
    case ToOrder = 'to_order';
    case Ordered = 'ordered';
    case Here = 'here';

    /** Not wanted after all; kept, so that nobody wonders. */
    case Dropped = 'dropped';

    public function isWaitedFor(): bool
    {
        return self::ToOrder === $this || self::Ordered === $this;
    }
}
