<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** A bare ratio such as a compression ratio, "8.5 : 1". */
enum RatioUnit: string implements Unit
{
    case ToOne = 'toone';

    public function symbol(): string
    {
        return ': 1';
    }

    public function spellings(): array
    {
        return [':1', 'to1'];
    }

    public function toSi(float $amount): float
    {
        return $amount;
    }

    public function fromSi(float $si): float
    {
        return $si;
    }
}
