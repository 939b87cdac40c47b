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
            // Some small engines want 0.08 to 0.12 mm.
            self::ValveLash => [0.08, 0.20],
            // Older flywheels are set with a card, about 0.2 mm; a few makers ask for 0.4.
            self::CoilAir => [0.20, 0.40],
            // Old points ignitions 0.6 mm.
            self::Plug => [0.60, 0.80],
        };
    }
}
