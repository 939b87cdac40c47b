<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Power extends AdditiveQuantity
{
    public static function units(): array
    {
        return PowerUnit::cases();
    }
}
