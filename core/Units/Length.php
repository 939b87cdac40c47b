<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Length extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function millimetres(float $amount): self
    {
        return self::of($amount, LengthUnit::Millimetre);
    }

    /** @throws ImpossibleAmount when not finite */
    public static function micrometres(float $amount): self
    {
        return self::of($amount, LengthUnit::Micrometre);
    }

    public function inMillimetres(): float
    {
        return $this->in(LengthUnit::Millimetre);
    }

    public static function units(): array
    {
        return LengthUnit::cases();
    }
}
