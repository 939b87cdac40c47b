<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/**
 * A number as people type it: with either decimal sign, thousands parted, or a fraction ("1/2", "1 1/2", "½").
 *
 * Where both signs stand, or one stands twice, it is plain which parts thousands ("1.250,5" and "1 250.5" are the same
 * number). One sign before exactly three digits is not: "3,600" has two readings, and whoever knows what is possible
 * chooses, or the person is asked.
 */
final readonly class DecimalText
{
    /** More digits than any honest reading; keeps strangers' text away from the parser. */
    private const LONGEST_TEXT = 30;

    private const FRACTIONS = ['½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4', '⅓' => ' 1/3', '⅔' => ' 2/3', '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8'];

    /**
     * @param non-empty-list<float> $readings what it may mean: the fraction first, then the thousands
     */
    private function __construct(public string $text, public array $readings)
    {
    }

    /** @throws UnreadableAmount when it is no number */
    public static function read(string $text): self
    {
        $trimmed = trim(strtr($text, self::FRACTIONS));
        if (mb_strlen($trimmed) > self::LONGEST_TEXT || 1 !== preg_match('/\A([+−-]?)\s*([\d\s.,\/\x{00A0}\x{202F}]+)\z/u', $trimmed, $parts)) {
            throw UnreadableAmount::notANumber(mb_substr(trim($text), 0, self::LONGEST_TEXT));
        }
        $readings = str_contains($parts[2], '/') ? self::fraction($parts[2]) : self::decimals($parts[2]);
        if ([] === $readings) {
            throw UnreadableAmount::notANumber(trim($text));
        }
        $sign = '' === $parts[1] || '+' === $parts[1] ? 1 : -1;

        return new self(trim($text), array_map(static fn (float $number): float => $sign * $number, $readings));
    }

    /**
     * A figure that is no quantity of ours.
     *
     * @param string $symbol of the unit that it is meant in
     *
     * @throws UnreadableAmount when it is no number
     * @throws AmbiguousAmount  when it is two, and both are possible
     * @throws ImpossibleAmount when it is not possible
     */
    public static function within(string $text, float $least, float $most, string $symbol): float
    {
        $number = self::parse($text, $least, $most);
        ImpossibleAmount::unlessBetween($number, $least, $most, $symbol);

        return $number;
    }

    /**
     * @param float $least possible of it
     * @param float $most  possible of it
     *
     * @throws UnreadableAmount when it is no number
     * @throws AmbiguousAmount  when it is two, and both are possible
     */
    public static function parse(string $text, float $least = -\INF, float $most = \INF): float
    {
        $read = self::read($text);
        $possible = array_values(array_filter($read->readings, static fn (float $number): bool => $number >= $least && $number <= $most));

        return match (\count($possible)) {
            // Whoever asked refuses it by its interval, which says more.
            0 => $read->readings[0],
            1 => $possible[0],
            default => throw AmbiguousAmount::between($read->text, $possible[1], $possible[0]),
        };
    }

    /** Plainly, and so that it is read in one way only. */
    public static function write(float $number): string
    {
        $text = number_format($number, 9, '.', '');
        $text = rtrim(rtrim($text, '0'), '.');

        return 1 === preg_match('/\A-?[1-9]\d{0,2}\.\d{3}\z/', $text) ? $text.'0' : $text;
    }

    /** @return list<float> none when it is no number */
    private static function decimals(string $digits): array
    {
        $isSpaced = 1 === preg_match('/\d[\s\x{00A0}\x{202F}]\d/u', trim($digits));
        $digits = (string) preg_replace('/[\s\x{00A0}\x{202F}]/u', '', $digits);
        // A missing sign compares as false, and so would one in first place: count places from one.
        $decimal = (int) strrpos(' '.$digits, '.') > (int) strrpos(' '.$digits, ',') ? '.' : ',';
        $grouping = '.' === $decimal ? ',' : '.';
        if (substr_count($digits, $decimal) > 1) {
            // "1.250.000": the only sign there is stands more than once, so it parts thousands.
            if (str_contains($digits, $grouping)) {
                return [];
            }
            [$decimal, $grouping] = [$grouping, $decimal];
        }
        $plain = str_replace([$grouping, $decimal], ['', '.'], $digits);
        if (!is_numeric($plain)) {
            return [];
        }

        return !$isSpaced && 1 === preg_match('/\A[1-9]\d{0,2}[.,]\d{3}\z/', $digits) ? [(float) $plain, (float) str_replace(['.', ','], '', $digits)] : [(float) $plain];
    }

    /** @return list<float> none when it is no fraction */
    private static function fraction(string $text): array
    {
        if (1 !== preg_match('/\A(?:(\d{1,6})\s+)?(\d{1,4})\s*\/\s*(\d{1,4})\z/u', trim($text), $parts) || 0 === (int) $parts[3]) {
            return [];
        }

        return [(float) $parts[1] + (int) $parts[2] / (int) $parts[3]];
    }
}
