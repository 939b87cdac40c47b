<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

use AwakeShed\Core\StatedRefusal;

/** One comma or point before three digits, "3,600": some mean thousands by it and some a fraction, and both could be here. */
final class AmbiguousAmount extends StatedRefusal implements OffersReadings
{
    /** @param string $unit as it was typed; empty where none was */
    public static function between(string $text, float $thousands, float $fraction, string $unit = ''): self
    {
        $behind = '' === $unit ? '' : ' '.$unit;
        [$first, $second] = [DecimalText::write($thousands).$behind, DecimalText::write($fraction).$behind];

        return new self(
            'amount.ambiguous',
            \sprintf('"%s" may be %s or %s.', $text, $first, $second),
            ['text' => $text, 'first' => $first, 'second' => $second],
        );
    }

    public function typed(): string
    {
        return (string) $this->figures()['text'];
    }

    public function readings(): array
    {
        return [(string) $this->figures()['first'], (string) $this->figures()['second']];
    }
}
