<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Pressure extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function psi(float $amount): self
    {
        return self::of($amount, PressureUnit::Psi);
    }

    public function inPsi(): float
    {
        return $this->in(PressureUnit::Psi);
    }

    public static function units(): array
    {
        return PressureUnit::cases();
    }
}
