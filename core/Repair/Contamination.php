<?php

declare(strict_types=1);

namespace AwakeShed\Core\Repair;

/** How bad it looks inside, which is what is known of a cleaning's chances beforehand (common practice). */
enum Contamination: string
{
    case Film = 'film';
    case Sediment = 'sediment';
    case Jelly = 'jelly';
    case Corroded = 'corroded';

    /** @return float chance that cleaning alone cures it (from memory of shops' talk, wide) */
    public function cleaningMean(): float
    {
        return match ($this) {
            self::Film => 0.85,
            self::Sediment => 0.75,
            self::Jelly => 0.60,
            self::Corroded => 0.25,
        };
    }
}
