<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** How many there are of something: a whole number. */
final readonly class Count extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite, or not whole */
    public static function each(float $amount): self
    {
        return self::of($amount, CountUnit::Each);
    }

    public function inEach(): float
    {
        return $this->in(CountUnit::Each);
    }

    /** A thing is there or it is not. */
    protected function guard(): void
    {
        if (abs($this->si - round($this->si)) > 1e-9) {
            throw ImpossibleAmount::notWhole($this->si);
        }
    }

    public static function units(): array
    {
        return CountUnit::cases();
    }
}
