<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** A unit that is a fixed multiple of the SI unit. */
trait ScaledUnit
{
    public function toSi(float $amount): float
    {
        return $amount * $this->inSi();
    }

    public function fromSi(float $si): float
    {
        return $si / $this->inSi();
    }

    /** One of this unit, in SI. */
    abstract private function inSi(): float;
}
