<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

/** What is known of an element, weakest first: of two findings that bear on it, the later case here is shown. */
enum ElementTone: string
{
    case NotLookedAt = 'not_looked_at';
    case Good = 'good';
    case PutRight = 'put_right';

    /** Suspect, by a hint: an owner's word or a thing that often goes with it. */
    case Hint = 'hint';

    /** Suspect, and likely. */
    case Likely = 'likely';

    /** Suspect, strongly: most machines that show this have it. */
    case Strong = 'strong';
    case Bad = 'bad';

    public function isSuspicion(): bool
    {
        return match ($this) {
            self::Hint, self::Likely, self::Strong => true,
            self::NotLookedAt, self::Good, self::PutRight, self::Bad => false,
        };
    }

    public function weight(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
