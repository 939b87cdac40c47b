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

    /** Where its switch, shutoff and vent are, and what it likes. */
    case Starting = 'starting';
    case Other = 'other';

    /** @return list<self> what is good to know at a step of the work */
    public static function at(string $step): array
    {
        return match ($step) {
            'first_run.start' => [self::Starting],
            'service.plug', 'split.plug_torque', 'split.plug_turn' => [self::Plug, self::Torque],
            'service.air_filter' => [self::AirFilter],
            'service.fuel_filter', 'path.filter' => [self::FuelFilter],
            'service.fuel_line', 'path.line' => [self::LineBore],
            'service.blade' => [self::Blade, self::Torque],
            'service.belt' => [self::Belt],
            'service.battery' => [self::Battery],
            'needle.carb_off', 'needle.bowl_only' => [self::Access, self::Tool, self::Gasket],
            'needle.fitted', 'decide.way' => [self::Kit, self::Gasket],
            'jet.before', 'jet.after' => [self::Jet, self::TubeColor],
            default => [],
        };
    }
}
