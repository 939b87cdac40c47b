<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Count extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function each(float $amount): self
    {
        return self::of($amount, CountUnit::Each);
    }

    public function inEach(): float
    {
        return $this->in(CountUnit::Each);
    }

    public static function units(): array
    {
        return CountUnit::cases();
    }
}
