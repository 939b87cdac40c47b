<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Electric tension in volts. */
enum VoltageUnit: string implements Unit
{
    use ScaledUnit;

    case Volt = 'v';
    case Millivolt = 'mv';

    public function symbol(): string
    {
        return match ($this) {
            self::Volt => 'V',
            self::Millivolt => 'mV',
        };
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Volt => ['v', 'volt', 'volts'],
            self::Millivolt => ['mv'],
        };
    }

    private function inSi(): float
    {
        return match ($this) {
            self::Volt => 1.0,
            self::Millivolt => 1e-3,
        };
    }
}
