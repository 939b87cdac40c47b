<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Pressure over that of the air, in pascals. The psi, the kilogram-force and the inch of mercury: NIST SP 811, appendix B.8 (published). */
enum PressureUnit: string implements Unit
{
    use ScaledUnit;

    case Psi = 'psi';
    case Kilopascal = 'kpa';
    case Bar = 'bar';
    case Millibar = 'mbar';
    case Pascal = 'pa';

    /** The "technical atmosphere" of older gauges. */
    case KilogramForcePerSquareCentimetre = 'kgf_cm2';

    /** Of conventional mercury at 0 °C, as vacuum gauges are marked. */
    case InchOfMercury = 'inhg';

    public function symbol(): string
    {
        return match ($this) {
            self::Psi => 'psi',
            self::Kilopascal => 'kPa',
            self::Bar => 'bar',
            self::Millibar => 'mbar',
            self::Pascal => 'Pa',
            self::KilogramForcePerSquareCentimetre => 'kg/cm²',
            self::InchOfMercury => 'inHg',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Psi => ['psi', 'psig', 'lb', 'lbs', 'lb/in²', 'lb/in2'],
            self::Kilopascal => ['kpa'],
            self::Bar => ['bar'],
            self::Millibar => ['mbar', 'hpa'],
            self::Pascal => ['pa'],
            self::KilogramForcePerSquareCentimetre => ['kg/cm²', 'kg/cm2', 'kgf/cm²', 'kgf/cm2', 'at'],
            self::InchOfMercury => ['inhg', '"hg'],
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
            self::KilogramForcePerSquareCentimetre => 98066.5,
            self::InchOfMercury => 3386.389,
        };
    }
}
