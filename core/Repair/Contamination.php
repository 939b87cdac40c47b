<?php

declare(strict_types=1);

namespace AwakeShed\Core\Repair;

use AwakeShed\Core\Evidence\CaseFile;

/** How bad it looks inside, which is what is known of a cleaning's chances beforehand (common practice). */
enum Contamination: string
{
    case Film = 'film';
    case Sediment = 'sediment';
    case Jelly = 'jelly';
    case Corroded = 'corroded';

    /** The metal itself: what is eaten away does not come back. */
    case Pitted = 'pitted';

    /** What lies in the bowl, and whether the casting is pitted, as found; null where nobody looked. */
    public static function found(CaseFile $case): ?self
    {
        if ($case->says(['body.metal' => ['pitted']])) {
            return self::Pitted;
        }
        $inside = $case->standing('bowl.inside')->outcomes ?? [];

        return match (true) {
            [] !== array_intersect(['crystals', 'rust'], $inside) => self::Corroded,
            \in_array('jelly', $inside, true) => self::Jelly,
            [] !== array_intersect(['sediment', 'water'], $inside) => self::Sediment,
            [] !== array_intersect(['film', 'clean'], $inside) => self::Film,
            default => null,
        };
    }

    public function kitMean(): float
    {
        return self::Pitted === $this ? WayOdds::PITTED_MEAN : WayOdds::KIT_MEAN;
    }

    /** @return float chance that cleaning alone cures it (from memory of shops' talk, wide) */
    public function cleaningMean(): float
    {
        return match ($this) {
            self::Film => 0.85,
            self::Sediment => 0.75,
            self::Jelly => 0.60,
            self::Corroded => 0.25,
            self::Pitted => WayOdds::PITTED_MEAN,
        };
    }
}
