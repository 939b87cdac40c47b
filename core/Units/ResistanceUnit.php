<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Electrical resistance in ohms. */
enum ResistanceUnit: string implements Unit
{
    use ScaledUnit;

    case Ohm = 'ohm';
    case Kilohm = 'kohm';

    public function symbol(): string
    {
        return match ($this) {
            self::Ohm => 'Ω',
            self::Kilohm => 'kΩ',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Ohm => ['ω', 'ohm', 'ohms'],
            self::Kilohm => ['kω', 'kohm', 'k'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Ohm => 1.0,
            self::Kilohm => 1e3,
        };
    }
}
