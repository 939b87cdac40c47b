<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Resistance extends AdditiveQuantity
{
    public static function units(): array
    {
        return ResistanceUnit::cases();
    }
}
