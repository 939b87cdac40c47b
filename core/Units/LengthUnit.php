<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Length in metres. The inch is 25.4 mm exactly: NIST SP 811, appendix B.8 (published). */
enum LengthUnit: string implements Unit
{
    case Micrometre = 'um';
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Inch = 'in';

    public function symbol(): string
    {
        return match ($this) {
            self::Micrometre => 'µm',
            self::Millimetre => 'mm',
            self::Centimetre => 'cm',
            self::Inch => 'in',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Micrometre => ['µm', 'um'],
            self::Millimetre => ['mm'],
            self::Centimetre => ['cm'],
            self::Inch => ['in', '"', 'inch'],
        };
    }

    public function toSi(float $amount): float
    {
        return $amount * $this->metres();
    }

    public function fromSi(float $si): float
    {
        return $si / $this->metres();
    }

    private function metres(): float
    {
        return match ($this) {
            self::Micrometre => 1e-6,
            self::Millimetre => 1e-3,
            self::Centimetre => 1e-2,
            self::Inch => 2.54e-2,
        };
    }
}
