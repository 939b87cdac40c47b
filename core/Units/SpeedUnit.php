<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Shaft speed, revolutions a minute. */
enum SpeedUnit: string implements Unit
{
    use ScaledUnit;

    case Rpm = 'rpm';

    public function symbol(): string
    {
        return 'rpm';
    }

    public function spellings(): array
    {
        return ['rpm', 'min-1', '1/min'];
    }

    private function inSi(): float
    {
        return 2 * \M_PI / 60;
    }
}
