<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Ratio extends Quantity
{
    public static function units(): array
    {
        return RatioUnit::cases();
    }
}
