<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** A share of a whole. */
enum ShareUnit: string implements Unit
{
    use ScaledUnit;

    case Percent = 'percent';
    case Whole = 'whole';

    public function symbol(): string
    {
        return match ($this) {
            self::Percent => '%',
            self::Whole => 'whole',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Percent => ['%', 'percent'],
            self::Whole => ['whole'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Percent => 0.01,
            self::Whole => 1.0,
        };
    }
}
