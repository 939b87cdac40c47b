<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Kinematic viscosity; the centistokes is a square millimetre a second. */
enum ViscosityUnit: string implements Unit
{
    use ScaledUnit;

    case Centistokes = 'cst';

    public function symbol(): string
    {
        return 'mm²/s';
    }

    public function spellings(): array
    {
        return ['mm²/s', 'mm2/s', 'cst'];
    }

    private function inSi(): float
    {
        return 1e-6;
    }
}
