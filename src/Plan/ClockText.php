<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

/** Hours of the day and days as people write them. */
final readonly class ClockText
{
    private function __construct()
    {
    }

    /** @return int|null minutes since midnight; null where it is no hour of the day */
    public static function minute(string $text): ?int
    {
        if (1 !== preg_match('/^(\d{1,2})(?:[:.h](\d{2}))?$/', trim($text), $found)) {
            return null;
        }
        $minute = 60 * (int) $found[1] + (int) ($found[2] ?? 0);

        return $minute <= 1440 && (int) ($found[2] ?? 0) < 60 ? $minute : null;
    }

    /** @return array{int, int}|null from and to; both 0 where nothing is written; null where it is no stretch of a day */
    public static function stretch(string $text): ?array
    {
        if ('' === trim($text)) {
            return [0, 0];
        }
        if (1 !== preg_match('/^(\S+?)\s*(?:-|–|to)\s*(\S+)$/u', trim($text), $ends)) {
            return null;
        }
        $since = self::minute($ends[1]);
        $until = self::minute($ends[2]);

        return null !== $since && null !== $until && $since < $until ? [$since, $until] : null;
    }

    /** @param array{int, int} $stretch */
    public static function written(array $stretch): string
    {
        return $stretch[0] === $stretch[1] ? '' : self::clock($stretch[0]).'-'.self::clock($stretch[1]);
    }

    public static function clock(int $minute): string
    {
        return \sprintf('%d:%02d', intdiv($minute, 60), $minute % 60);
    }

    /** @return \DateTimeImmutable|null a day of this century; null where it is none */
    public static function day(string $text): ?\DateTimeImmutable
    {
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', trim($text));

        return false !== $day && $day->format('Y-m-d') === trim($text) && str_starts_with($text, '20') ? $day : null;
    }
}
