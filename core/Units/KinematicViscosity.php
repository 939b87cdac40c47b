<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class KinematicViscosity extends Quantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function centistokes(float $amount): self
    {
        return self::of($amount, ViscosityUnit::Centistokes);
    }

    public static function units(): array
    {
        return ViscosityUnit::cases();
    }

    public function inCentistokes(): float
    {
        return $this->in(ViscosityUnit::Centistokes);
    }
}
