<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** A bare number of things. */
enum CountUnit: string implements Unit
{
    use ScaledUnit;

    case Each = 'each';

    public function symbol(): string
    {
        return match ($this) {
            self::Each => '',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Each => ['x', '×'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Each => 1.0,
        };
    }
}
