<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Money extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function dollars(float $amount): self
    {
        return self::of($amount, MoneyUnit::Dollar);
    }

    public function inDollars(): float
    {
        return $this->in(MoneyUnit::Dollar);
    }

    public static function units(): array
    {
        return MoneyUnit::cases();
    }
}
