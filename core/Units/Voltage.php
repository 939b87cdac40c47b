<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Voltage extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function volts(float $amount): self
    {
        return self::of($amount, VoltageUnit::Volt);
    }

    public function inVolts(): float
    {
        return $this->in(VoltageUnit::Volt);
    }

    public static function units(): array
    {
        return VoltageUnit::cases();
    }
}
