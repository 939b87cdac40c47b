<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Volume extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function millilitres(float $amount): self
    {
        return self::of($amount, VolumeUnit::Millilitre);
    }

    public function inMillilitres(): float
    {
        return $this->in(VolumeUnit::Millilitre);
    }

    public static function units(): array
    {
        return VolumeUnit::cases();
    }
}
