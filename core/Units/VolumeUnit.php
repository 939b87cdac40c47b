<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Volume in cubic metres. US customary factors: NIST SP 811, appendix B.8 (published). */
enum VolumeUnit: string implements Unit
{
    use ScaledUnit;

    case Millilitre = 'ml';
    case CubicCentimetre = 'cm3';
    case Litre = 'l';
    case Teaspoon = 'tsp';
    case Tablespoon = 'tbsp';
    case FluidOunce = 'fl_oz';
    case Gallon = 'gal';

    public function symbol(): string
    {
        return match ($this) {
            self::Millilitre => 'mL',
            self::CubicCentimetre => 'cm³',
            self::Litre => 'L',
            self::Teaspoon => 'tsp',
            self::Tablespoon => 'tbsp',
            self::FluidOunce => 'fl oz',
            self::Gallon => 'gal',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Millilitre => ['ml'],
            self::CubicCentimetre => ['cm³', 'cm3', 'cc', 'ccm'],
            self::Litre => ['l', 'lt', 'ltr'],
            self::Teaspoon => ['tsp'],
            self::Tablespoon => ['tbsp'],
            self::FluidOunce => ['floz', 'oz'],
            self::Gallon => ['gal'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Millilitre, self::CubicCentimetre => 1e-6,
            self::Litre => 1e-3,
            self::Teaspoon => 3.785411784e-3 / 768,
            self::Tablespoon => 3.785411784e-3 / 256,
            self::FluidOunce => 3.785411784e-3 / 128,
            // 231 cubic inches of 25.4 mm, exact.
            self::Gallon => 3.785411784e-3,
        };
    }
}
