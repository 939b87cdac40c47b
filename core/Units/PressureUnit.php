<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Pressure over that of the air, in pascals. The psi: NIST SP 811, appendix B.8 (published). */
enum PressureUnit: string implements Unit
{
    use ScaledUnit;

    case Psi = 'psi';
    case Kilopascal = 'kpa';
    case Bar = 'bar';
    case Millibar = 'mbar';
    case Pascal = 'pa';

    public function symbol(): string
    {
        return match ($this) {
            self::Psi => 'psi',
            self::Kilopascal => 'kPa',
            self::Bar => 'bar',
            self::Millibar => 'mbar',
            self::Pascal => 'Pa',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Psi => ['psi'],
            self::Kilopascal => ['kpa'],
            self::Bar => ['bar'],
            self::Millibar => ['mbar', 'hpa'],
            self::Pascal => ['pa'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Psi => 6894.757293168361,
            self::Kilopascal => 1e3,
            self::Bar => 1e5,
            self::Millibar => 1e2,
            self::Pascal => 1.0,
        };
    }
}
