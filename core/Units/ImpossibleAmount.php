<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

use AwakeShed\Core\StatedRefusal;

/** An amount no reading can have: not a number, below absolute zero, or outside the interval its use allows. */
final class ImpossibleAmount extends StatedRefusal
{
    public static function notFinite(): self
    {
        return new self('amount.not_finite', 'The amount is not a finite number.');
    }

    public static function notWhole(float $number): self
    {
        return new self('amount.not_whole', \sprintf('%s is not a whole number.', round($number, 4)), ['value' => round($number, 4)]);
    }

    public static function divisorIsZero(): self
    {
        return new self('amount.divisor_zero', 'A quantity cannot be compared with nothing.');
    }

    public static function belowAbsoluteZero(float $kelvin): self
    {
        return new self(
            'amount.below_absolute_zero',
            \sprintf('%s K is below absolute zero.', round($kelvin, 2)),
            ['value' => round($kelvin - 273.15, 2)],
        );
    }

    /**
     * For figures that are no quantity of ours; not a number lies between nothing.
     *
     * @throws self
     */
    public static function unlessBetween(float $value, float $least, float $most, string $symbol): void
    {
        if (!($value >= $least && $value <= $most)) {
            throw self::outside($value, $least, $most, $symbol);
        }
    }

    /** All three in the same unit, whose symbol is given. */
    public static function outside(float $value, float $least, float $most, string $symbol): self
    {
        return new self(
            'amount.out_of_range',
            \sprintf('%s %s, allowed %s to %s %s.', round($value, 4), $symbol, round($least, 4), round($most, 4), $symbol),
            ['value' => round($value, 4), 'least' => round($least, 4), 'most' => round($most, 4), 'unit' => $symbol],
        );
    }
}
