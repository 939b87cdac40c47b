<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

enum FlowTestVerdict: string
{
    case Pours = 'pours';
    case Scant = 'scant';
    case Starves = 'starves';
    case None = 'none';

    /** Fades; nobody tried it with the cap open. */
    case Fades = 'fades';

    /** Fades, and comes back with the cap open. */
    case Vent = 'vent';

    /** Fades whether the cap is open or not. */
    case FadesCapOrNot = 'fades_cap_or_not';
}
