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
    case CubicInch = 'in3';
    case Cup = 'cup';
    case Pint = 'pt';
    case Quart = 'qt';
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
            self::CubicInch => 'cu in',
            self::Cup => 'cup',
            self::Pint => 'pt',
            self::Quart => 'qt',
            self::Gallon => 'gal',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Millilitre => ['ml', 'milliliter', 'milliliters', 'millilitre', 'millilitres'],
            self::CubicCentimetre => ['cm³', 'cm3', 'cc', 'ccm'],
            self::Litre => ['l', 'lt', 'ltr', 'liter', 'liters', 'litre', 'litres'],
            self::Teaspoon => ['tsp', 'teaspoon', 'teaspoons'],
            self::Tablespoon => ['tbsp', 'tablespoon', 'tablespoons'],
            self::FluidOunce => ['floz', 'oz', 'ounce', 'ounces', 'fluidounce', 'fluidounces'],
            self::CubicInch => ['cuin', 'in³', 'in3', 'cubicinch', 'cubicinches', 'ci', 'cid'],
            self::Cup => ['cup', 'cups', 'c'],
            self::Pint => ['pt', 'pint', 'pints'],
            self::Quart => ['qt', 'quart', 'quarts'],
            self::Gallon => ['gal', 'gallon', 'gallons'],
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
            // Of 25.4 mm, exact.
            self::CubicInch => 1.6387064e-5,
            self::Cup => 3.785411784e-3 / 16,
            self::Pint => 3.785411784e-3 / 8,
            self::Quart => 3.785411784e-3 / 4,
            // 231 cubic inches of 25.4 mm, exact.
            self::Gallon => 3.785411784e-3,
        };
    }
}
