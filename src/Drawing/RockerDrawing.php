<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\Core\Cylinder\ValveTrain;

/** The rockers of an overhead-valve engine at both tops of its piston, rocked a little past each: where lash is set, and where it is not. */
final readonly class RockerDrawing
{
    /** How far the crank is rocked, degrees; what a hand does. */
    private const ROCK = 15.0;

    /** Pixels of a full lift: drawn far taller than it is, or the wrong top would look like the right one. */
    private const FULL_LIFT = 150.0;

    /** Pixels of the gap under a rocker that is loose. */
    private const GAP = 7.0;

    private function __construct(
        public bool $isRightTop,
        /** How far each valve is pushed down, pixels. */
        public float $intake,
        public float $exhaust,
        /** The gap between rocker and valve, pixels; none where the valve is held open. */
        public float $intakeGap,
        public float $exhaustGap,
    ) {
    }

    /** @return array{self, self} the top of compression, and the other one */
    public static function both(): array
    {
        return [self::at(ValveTrain::COMPRESSION_TOP), self::at(ValveTrain::OVERLAP_TOP)];
    }

    private static function at(float $top): self
    {
        $intake = self::FULL_LIFT * ValveTrain::intakeLift($top + self::ROCK);
        $exhaust = self::FULL_LIFT * ValveTrain::exhaustLift($top - self::ROCK);

        return new self(ValveTrain::isLashSetHere($top, self::ROCK), $intake, $exhaust, $intake > 0.0 ? 0.0 : self::GAP, $exhaust > 0.0 ? 0.0 : self::GAP);
    }
}
