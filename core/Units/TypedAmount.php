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
     * decimal sign a place off. Two names of one unit ("mL", "cm³") are said once, by the one that was typed.
     *
     * @param non-empty-list<Unit> $units people use for it
     *
     * @return list<string> each to be typed instead
     */
    public function otherReadings(Interval $usual, array $units): array
    {
        $others = [];
        foreach ($this->hasDecimalSign() ? [1, 10, 0.1] : [1] as $factor) {
            foreach ([$this->unit, ...$units] as $unit) {
                $amount = $factor * $this->amount;
                if ($usual->in($unit)->spans($amount)) {
                    $others[\sprintf('%s of %.9e', $factor, $unit->toSi($amount))] ??= DecimalText::write(round($amount, 9)).' '.$unit->symbol();
                }
            }
        }

        return array_values(\array_slice($others, 0, self::MOST_OTHERS));
    }

    /** One that may have slipped a place ("0.080" for "0.80"): that of thousands does not. */
    private function hasDecimalSign(): bool
    {
        return 1 === preg_match('/[.,]/', $this->number) && (float) preg_replace('/\D+/', '', $this->number) !== $this->amount;
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
