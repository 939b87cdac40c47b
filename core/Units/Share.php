<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Share extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function fraction(float $amount): self
    {
        return self::of($amount, ShareUnit::Whole);
    }

    public function asFraction(): float
    {
        return $this->in(ShareUnit::Whole);
    }

    public static function units(): array
    {
        return ShareUnit::cases();
    }
}
