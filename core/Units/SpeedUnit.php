<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Shaft speed, revolutions a minute. */
enum SpeedUnit: string implements Unit
{
    case Rpm = 'rpm';

    public function symbol(): string
    {
        return 'rpm';
    }

    public function spellings(): array
    {
        return ['rpm', 'min-1', '1/min'];
    }

    public function toSi(float $amount): float
    {
        return $amount * 2 * \M_PI / 60;
    }

    public function fromSi(float $si): float
    {
        return $si * 60 / (2 * \M_PI);
    }
}
