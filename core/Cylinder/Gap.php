<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

/** The gaps a technician sets with a feeler, and what is usual for them (common practice). */
enum Gap: string
{
    /** Cold, at the top of the compression stroke. */
    case ValveLash = 'valve_lash';
    case CoilAir = 'coil_air';
    case Plug = 'plug';

    /** @return array{float, float} least and most, mm */
    public function usual(): array
    {
        return match ($this) {
            self::ValveLash => [0.10, 0.20],
            self::CoilAir => [0.25, 0.35],
            self::Plug => [0.70, 0.80],
        };
    }
}
