<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Length in metres. The inch is 25.4 mm exactly: NIST SP 811, appendix B.8 (published). */
enum LengthUnit: string implements Unit
{
    use ScaledUnit;

    case Micrometre = 'um';
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Inch = 'in';

    /** A thousandth of an inch. */
    case Thou = 'thou';
    case Metre = 'm';
    case Foot = 'ft';

    public function symbol(): string
    {
        return match ($this) {
            self::Micrometre => 'µm',
            self::Millimetre => 'mm',
            self::Centimetre => 'cm',
            self::Inch => 'in',
            self::Thou => 'thou',
            self::Metre => 'm',
            self::Foot => 'ft',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Micrometre => ['µm', 'um'],
            self::Millimetre => ['mm'],
            self::Centimetre => ['cm'],
            self::Inch => ['in', '"', 'inch', 'inches'],
            self::Thou => ['thou', 'mil', 'mils'],
            self::Metre => ['m'],
            self::Foot => ['ft', '\'', 'foot', 'feet'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Micrometre => 1e-6,
            self::Millimetre => 1e-3,
            self::Centimetre => 1e-2,
            self::Inch => 2.54e-2,
            self::Thou => 2.54e-5,
            self::Metre => 1.0,
            self::Foot => 0.3048,
        };
    }
}
