<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Kinematic viscosity; the centistokes is a square millimetre a second. */
enum ViscosityUnit: string implements Unit
{
    case Centistokes = 'cst';

    public function symbol(): string
    {
        return 'mm²/s';
    }

    public function spellings(): array
    {
        return ['mm²/s', 'mm2/s', 'cst'];
    }

    public function toSi(float $amount): float
    {
        return $amount * 1e-6;
    }

    public function fromSi(float $si): float
    {
        return $si / 1e-6;
    }
}
