<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\StatedRefusal;

/** A share the fault model cannot be given, or a row of them that does not add up. */
final class ImpossibleOdds extends StatedRefusal
{
    public static function noSuchNumber(string $path): self
    {
        return new self('odds.no_such_number', \sprintf('The fault model has no number "%s".', $path), ['path' => $path]);
    }

    /** @throws self */
    public static function unlessBetween(string $path, float $value, float $least, float $most): void
    {
        if (!($value >= $least && $value <= $most)) {
            throw new self('odds.out_of_range', \sprintf('%s is %s %%; it may be %s to %s %%.', $path, round(100 * $value, 3), 100 * $least, 100 * $most), ['path' => $path, 'value' => round(100 * $value, 3), 'least' => 100 * $least, 'most' => 100 * $most]);
        }
    }

    /** @throws self */
    public static function unlessSumsTo(string $path, float $sum, float $least, float $most): void
    {
        if ($sum < $least || $sum > $most) {
            throw new self($least > 0.0 ? 'odds.row_sum' : 'odds.row_over', \sprintf('The row of %s adds up to %s %%.', $path, round(100 * $sum, 2)), ['path' => $path, 'sum' => round(100 * $sum, 2)]);
        }
    }
}
