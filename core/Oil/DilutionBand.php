<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

/** What a dilution asks for (common practice). */
enum DilutionBand: string
{
    private const WATCH_BELOW = 0.02;
    private const FLUSH_ABOVE = 0.05;

    case Watch = 'watch';
    case Change = 'change';

    /** Changed, flushed, and the needle that let it in dealt with. */
    case ChangeFlushAndCure = 'change_flush_cure';

    /** @param float $fraction gasoline in the oil, by volume */
    public static function forFraction(float $fraction): self
    {
        return match (true) {
            $fraction < self::WATCH_BELOW => self::Watch,
            $fraction <= self::FLUSH_ABOVE => self::Change,
            default => self::ChangeFlushAndCure,
        };
    }
}
