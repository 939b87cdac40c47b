<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/**
 * A number as a person typed it, with the unit they typed or the one the field offers.
 *
 * @template U of Unit
 */
final readonly class TypedAmount
{
    /** Longer than any honest reading; keeps strangers' text away from the parser. */
    private const LONGEST_TEXT = 40;

    /** @param U $unit */
    private function __construct(public float $amount, public Unit $unit, public string $text)
    {
    }

    /**
     * @template T of Unit
     *
     * @param T                 $default the unit meant when none is typed
     * @param non-empty-list<T> $allowed
     *
     * @return self<T>
     *
     * @throws UnreadableAmount when it is no number, or the unit behind it is not among the allowed
     */
    public static function parse(string $text, Unit $default, array $allowed): self
    {
        $shown = mb_substr(trim($text), 0, self::LONGEST_TEXT);
        if (mb_strlen(trim($text)) > self::LONGEST_TEXT || 1 !== preg_match('/\A([^\p{L}°"µ]*\d[.,]?)\s*(\D*)\z/u', trim($text), $parts)) {
            throw UnreadableAmount::notANumber($shown);
        }

        return new self(DecimalText::parse($parts[1]), self::unit($parts[2], $default, $allowed), $shown);
    }

    /**
     * @template T of Unit
     *
     * @param T                 $default
     * @param non-empty-list<T> $allowed
     *
     * @return T
     */
    private static function unit(string $typed, Unit $default, array $allowed): Unit
    {
        $spelling = mb_strtolower((string) preg_replace('/\s+|\./', '', $typed));
        if ('' === $spelling) {
            return $default;
        }
        foreach ($allowed as $unit) {
            if (\in_array($spelling, $unit->spellings(), true)) {
                return $unit;
            }
        }

        throw UnreadableAmount::unknownUnit(trim($typed), $allowed);
    }
}
