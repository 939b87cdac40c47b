<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\Core\Cylinder\Hydrolock;

/** A cylinder in section with the piston at the top: the room above it, and the liquid, as shares of that room. */
final readonly class CylinderDrawing implements Drawing
{
    /** Where the room above the piston is drawn; taller than to scale, or nothing could be seen in it. */
    public const TOP = 70;
    public const CROWN = 190;
    private const BOTTOM_OF_STROKE = 330;

    private function __construct(
        public Hydrolock $cylinder,
        /** Liquid over room, may exceed 1. */
        public float $share,
        /** Where the piston's crown stops. */
        public float $crown,
        /** Where the liquid's surface stands. */
        public float $surface,
    ) {
    }

    public static function ofHydrolock(Hydrolock $cylinder): self
    {
        $share = $cylinder->liquid->over($cylinder->clearance);
        $room = self::CROWN - self::TOP;
        // Liquid does not give: a full room holds the piston down by what does not fit.
        $crown = $share <= 1.0 ? self::CROWN : min((float) self::BOTTOM_OF_STROKE, self::TOP + $room * $share);

        return new self($cylinder, $share, $crown, $share <= 1.0 ? self::CROWN - $room * $share : self::TOP);
    }

    public function template(): string
    {
        return 'cylinder';
    }
}
