<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Volume flow in cubic metres a second. The gallon is the US one: NIST SP 811, appendix B.8 (published). */
enum FlowUnit: string implements Unit
{
    use ScaledUnit;

    case MillilitrePerMinute = 'ml_per_min';
    case LitrePerMinute = 'l_per_min';
    case GallonPerMinute = 'gal_per_min';

    public function symbol(): string
    {
        return match ($this) {
            self::MillilitrePerMinute => 'mL/min',
            self::LitrePerMinute => 'L/min',
            self::GallonPerMinute => 'gal/min',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::MillilitrePerMinute => ['ml/min'],
            self::LitrePerMinute => ['l/min', 'lpm'],
            self::GallonPerMinute => ['gal/min', 'gpm'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::MillilitrePerMinute => 1e-6 / 60,
            self::LitrePerMinute => 1e-3 / 60,
            self::GallonPerMinute => 3.785411784e-3 / 60,
        };
    }
}
