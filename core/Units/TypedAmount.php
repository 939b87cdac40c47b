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

    /** More would be a list to choose from instead of a question. */
    private const MOST_OTHERS = 3;

    /** @param U $unit */
    private function __construct(public float $amount, public Unit $unit, public string $text, private string $number)
    {
    }

    /**
     * @template T of Unit
     *
     * @param T                 $default  the unit meant when none is typed
     * @param non-empty-list<T> $allowed
     * @param Interval|null     $possible of the field; of two readings of a number, the one that lies in it
     *
     * @return self<T>
     *
     * @throws UnreadableAmount when it is no number, or the unit behind it is not among the allowed
     * @throws AmbiguousAmount  when it is two numbers, and both are possible
     */
    public static function parse(string $text, Unit $default, array $allowed, ?Interval $possible = null): self
    {
        $shown = mb_substr(trim($text), 0, self::LONGEST_TEXT);
        if (mb_strlen(trim($text)) > self::LONGEST_TEXT || 1 !== preg_match('/\A([^\p{L}°"µ\'½¼¾⅓⅔⅛⅜⅝⅞]*[\d½¼¾⅓⅔⅛⅜⅝⅞][.,]?)\s*((?:\D.*)?)\z/u', trim($text), $parts)) {
            throw UnreadableAmount::notANumber($shown);
        }
        $read = DecimalText::read($parts[1]);
        $unit = self::unit($parts[2], $default, $allowed);
        $readings = array_values(array_filter($read->readings, static fn (float $amount): bool => null === $possible || $possible->in($unit)->spans($amount)));
        if (\count($readings) > 1) {
            throw AmbiguousAmount::between($shown, $readings[1], $readings[0], trim($parts[2]));
        }

        return new self($readings[0] ?? $read->readings[0], $unit, $shown, $parts[1]);
    }

    /**
     * What may have been meant where the amount is outside the usual: the same number in another unit, or with its
     * decimal sign a place off.
     *
     * @param non-empty-list<Unit> $units people use for it
     *
     * @return list<string> each to be typed instead
     */
    public function otherReadings(Interval $usual, array $units): array
    {
        // A sign a place off happens where there is one: "0.080" for "0.80".
        $factors = 1 === preg_match('/[.,]/', $this->number) ? [1, 10, 0.1] : [1];
        $others = [];
        foreach ($factors as $factor) {
            foreach ($units as $unit) {
                $amount = $factor * $this->amount;
                if ((1 !== $factor || $unit !== $this->unit) && $usual->in($unit)->spans($amount)) {
                    $others[] = DecimalText::write(round($amount, 9)).' '.$unit->symbol();
                }
            }
        }

        return \array_slice($others, 0, self::MOST_OTHERS);
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
