<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

/** What a surge watched over its first minutes comes to. */
enum SurgeVerdict: string
{
    /** Nothing was heard of it yet, or not long enough. */
    case NotYet = 'not_yet';
    case Steady = 'steady';

    /** It surged cold and ran steady warm: small engines set lean do, in cold air. */
    case Settles = 'settles';

    /** It surges warm, and choke smooths it: too little fuel for its air. */
    case Lean = 'lean';

    /** It surges warm, and choke changes nothing or makes it worse: linkage, governor, or too rich. */
    case NotByFuel = 'not_by_fuel';

    /** It surges warm; nobody has tried the choke. */
    case TryChoke = 'try_choke';

    /** The outcome of "run.steady" that it is; null where it is none yet. */
    public function outcome(): ?string
    {
        return match ($this) {
            self::Steady => 'steady',
            self::Settles => 'surges_cold_then_settles',
            self::Lean, self::NotByFuel => 'surges_no_load',
            self::NotYet, self::TryChoke => null,
        };
    }
}
