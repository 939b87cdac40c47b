<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

/** What is worth knowing of a machine when it comes back, and was in somebody's head so far. */
enum LifeTopic: string
{
    /** Number, heat range, gap; what went in instead. */
    case Plug = 'plug';
    case AirFilter = 'air_filter';
    case FuelFilter = 'fuel_filter';
    case Gasket = 'gasket';
    case Kit = 'kit';
    case LineBore = 'line_bore';
    case Torque = 'torque';
    case TubeColor = 'tube_color';

    /** How one gets at what is hidden. */
    case Access = 'access';

    /** A jet that was opened: from what, to what. */
    case Jet = 'jet';
    case Belt = 'belt';
    case Blade = 'blade';
    case Battery = 'battery';
    case Tool = 'tool';
    case Other = 'other';
}
