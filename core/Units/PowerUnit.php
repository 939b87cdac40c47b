<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Power in watts. */
enum PowerUnit: string implements Unit
{
    use ScaledUnit;

    case Watt = 'w';
    case Kilowatt = 'kw';

    public function symbol(): string
    {
        return match ($this) {
            self::Watt => 'W',
            self::Kilowatt => 'kW',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Watt => ['w', 'watt', 'watts'],
            self::Kilowatt => ['kw'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Watt => 1.0,
            self::Kilowatt => 1e3,
        };
    }
}
