<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Frequency extends AdditiveQuantity
{
    public static function units(): array
    {
        return FrequencyUnit::cases();
    }
}
