<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Money of the shop; one currency a shop. */
enum MoneyUnit: string implements Unit
{
    use ScaledUnit;

    case Dollar = 'dollar';

    public function symbol(): string
    {
        return match ($this) {
            self::Dollar => '$',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Dollar => ['$', 'usd'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Dollar => 1.0,
        };
    }
}
