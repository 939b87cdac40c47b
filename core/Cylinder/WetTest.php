<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

/** What a spoonful of oil through the plug hole says of a low reading (common practice). */
enum WetTest: string
{
    /** It came up: the oil sealed the rings. */
    case Rings = 'rings';

    /** It did not: oil cannot seal a valve or a head gasket. */
    case ValvesOrGasket = 'valves_or_gasket';
}
