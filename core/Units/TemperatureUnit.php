<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Thermodynamic temperature in kelvin. Conversions: NIST SP 811, appendix B.8 (published, exact). */
enum TemperatureUnit: string implements Unit
{
    case Kelvin = 'k';
    case Celsius = 'c';
    case Fahrenheit = 'f';

    public function symbol(): string
    {
        return match ($this) {
            self::Kelvin => 'K',
            self::Celsius => '°C',
            self::Fahrenheit => '°F',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Kelvin => ['k'],
            self::Celsius => ['°c', 'c'],
            self::Fahrenheit => ['°f', 'f'],
        };
    }

    public function toSi(float $amount): float
    {
        return match ($this) {
            self::Kelvin => $amount,
            self::Celsius => $amount + 273.15,
            self::Fahrenheit => ($amount + 459.67) / 1.8,
        };
    }

    public function fromSi(float $si): float
    {
        return match ($this) {
            self::Kelvin => $si,
            self::Celsius => $si - 273.15,
            self::Fahrenheit => $si * 1.8 - 459.67,
        };
    }
}
