<?php

declare(strict_types=1);

namespace AwakeShed\App\Unit;

use AwakeShed\Core\Units\Quantity;

/** An amount to be written on a drawing in the reader's way: a quantity with its measure, or a share as per cent. */
final readonly class Figures
{
    private function __construct(public ?Quantity $quantity, public ?Measure $measure, public ?float $share)
    {
    }

    public static function amount(Quantity $quantity, Measure $measure): self
    {
        return new self($quantity, $measure, null);
    }

    public static function share(float $share): self
    {
        return new self(null, null, $share);
    }
}
