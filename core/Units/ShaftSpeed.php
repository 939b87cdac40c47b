<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class ShaftSpeed extends Quantity
{
    public static function units(): array
    {
        return SpeedUnit::cases();
    }
}
