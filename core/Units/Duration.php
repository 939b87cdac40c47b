<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Duration extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function seconds(float $amount): self
    {
        return self::of($amount, DurationUnit::Second);
    }

    public function inSeconds(): float
    {
        return $this->in(DurationUnit::Second);
    }

    public static function units(): array
    {
        return DurationUnit::cases();
    }
}
