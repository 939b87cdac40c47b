<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

use AwakeShed\Core\StatedRefusal;

/** Typed text that is not a number with, at most, a unit of the expected dimension behind it. */
final class UnreadableAmount extends StatedRefusal
{
    public static function notANumber(string $text): self
    {
        return new self('amount.not_a_number', \sprintf('"%s" is not a number.', $text), ['text' => $text]);
    }

    /** @param list<Unit> $allowed */
    public static function unknownUnit(string $unit, array $allowed): self
    {
        $symbols = implode(', ', array_map(static fn (Unit $known): string => $known->symbol(), $allowed));

        return new self(
            'amount.unknown_unit',
            \sprintf('"%s" is not a unit known here; use %s.', $unit, $symbols),
            ['unit' => $unit, 'allowed' => $symbols],
        );
    }
}
