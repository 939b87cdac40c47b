<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** A bare ratio such as a compression ratio, "8.5 : 1". */
enum RatioUnit: string implements Unit
{
    use ScaledUnit;

    case ToOne = 'toone';

    public function symbol(): string
    {
        return ': 1';
    }

    public function spellings(): array
    {
        return [':1', 'to1'];
    }

    private function inSi(): float
    {
        return 1.0;
    }
}
