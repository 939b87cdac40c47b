<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** How a part was found. */
enum Condition: string
{
    case Sound = 'sound';
    case Film = 'film';
    case Rust = 'rust';
    case Worn = 'worn';
    case Hard = 'hard';
    case Torn = 'torn';
    case Bent = 'bent';
    case Pitted = 'pitted';
    case Lost = 'lost';

    /** What is done with a part in this condition unless somebody decides otherwise (common practice). */
    public function advises(): PartFate
    {
        return match ($this) {
            self::Sound => PartFate::Reuse,
            self::Film, self::Rust => PartFate::Clean,
            self::Worn, self::Hard, self::Torn, self::Bent, self::Pitted, self::Lost => PartFate::Renew,
        };
    }
}
