<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

/**
 * The valves of a small four-stroke over its 720° of crank, 0° at the top of the compression stroke.
 *
 * Lash is measured where both valves are shut and stay shut when the crank is rocked. At the other top, 360°, the
 * exhaust is closing while the intake opens: rocked there, the rockers move. The opening and closing angles are common
 * practice for small engines; which top is the right one does not hang on them.
 */
final class ValveTrain
{
    public const COMPRESSION_TOP = 0.0;
    public const OVERLAP_TOP = 360.0;

    private const CYCLE = 720.0;

    /** Degrees of crank: opens, closes. */
    private const EXHAUST = [140.0, 375.0];
    private const INTAKE = [345.0, 590.0];

    private function __construct()
    {
    }

    /** @return float of the exhaust valve, 0 (shut) to 1 */
    public static function exhaustLift(float $degrees): float
    {
        return self::lift($degrees, ...self::EXHAUST);
    }

    /** @return float of the intake valve, 0 (shut) to 1 */
    public static function intakeLift(float $degrees): float
    {
        return self::lift($degrees, ...self::INTAKE);
    }

    /** Whether both valves stay shut when the crank is rocked so far each way, in degrees. */
    public static function isLashSetHere(float $degrees, float $rock): bool
    {
        foreach ([-$rock, 0.0, $rock] as $turned) {
            if (self::exhaustLift($degrees + $turned) > 0.0 || self::intakeLift($degrees + $turned) > 0.0) {
                return false;
            }
        }

        return true;
    }

    private static function lift(float $degrees, float $opens, float $closes): float
    {
        $at = fmod(fmod($degrees, self::CYCLE) + self::CYCLE, self::CYCLE);

        return $at <= $opens || $at >= $closes ? 0.0 : sin(\M_PI * ($at - $opens) / ($closes - $opens)) ** 2;
    }
}
