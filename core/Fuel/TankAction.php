<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** What the tank needs after its fuel was judged. */
enum TankAction: string
{
    case Nothing = 'nothing';

    /** Flushed with fresh fuel and swirled until what comes out is clean. */
    case Flush = 'flush';

    /** Tilting leaves water behind the filler neck: off, absorbed, blown dry. */
    case RemoveAndDry = 'remove_and_dry';

    /** Rust goes on shedding. */
    case CleanOrReplace = 'clean_or_replace';
}
