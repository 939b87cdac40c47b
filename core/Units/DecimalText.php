<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/**
 * A number as people type it, with either decimal sign.
 *
 * The last comma or point is the decimal sign, and earlier ones of the other kind, or spaces, part the thousands
 * ("1.250,5" and "1 250.5" are the same number; "1,250" is one and a quarter, as somebody who types a decimal comma
 * means it).
 */
final readonly class DecimalText
{
    /** More digits than any honest reading; keeps strangers' text away from the parser. */
    private const LONGEST_TEXT = 30;

    private function __construct()
    {
    }

    /** @throws UnreadableAmount when it is no number */
    public static function parse(string $text): float
    {
        $trimmed = trim($text);
        if (mb_strlen($trimmed) > self::LONGEST_TEXT || 1 !== preg_match('/\A([+−-]?)([\d\s.,\x{00A0}\x{202F}]+)\z/u', $trimmed, $parts)) {
            throw UnreadableAmount::notANumber(mb_substr($trimmed, 0, self::LONGEST_TEXT));
        }
        $number = self::number($parts[2]) ?? throw UnreadableAmount::notANumber($trimmed);

        return '' === $parts[1] || '+' === $parts[1] ? $number : -$number;
    }

    private static function number(string $digits): ?float
    {
        $digits = (string) preg_replace('/[\s\x{00A0}\x{202F}]/u', '', $digits);
        // A missing sign compares as false, and so would one in first place: count places from one.
        $decimal = (int) strrpos(' '.$digits, '.') > (int) strrpos(' '.$digits, ',') ? '.' : ',';
        $grouping = '.' === $decimal ? ',' : '.';
        if (substr_count($digits, $decimal) > 1) {
            // "1.250.000": the only sign there is stands more than once, so it parts thousands.
            if (str_contains($digits, $grouping)) {
                return null;
            }
            [$decimal, $grouping] = [$grouping, $decimal];
        }
        $plain = str_replace([$grouping, $decimal], ['', '.'], $digits);

        return is_numeric($plain) ? (float) $plain : null;
    }
}
