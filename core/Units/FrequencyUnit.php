<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** How often something happens, in hertz. */
enum FrequencyUnit: string implements Unit
{
    use ScaledUnit;

    case Hertz = 'hz';
    case PerMinute = 'per_min';

    public function symbol(): string
    {
        return match ($this) {
            self::Hertz => 'Hz',
            self::PerMinute => '/min',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Hertz => ['hz'],
            self::PerMinute => ['/min', 'bpm'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Hertz => 1.0,
            self::PerMinute => 1 / 60,
        };
    }
}
