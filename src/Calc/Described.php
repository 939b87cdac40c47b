<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

/** For a calculation: says what its attribute says ({@see AsCalculation}). */
trait Described
{
    private ?AsCalculation $said = null;

    /** By which the container finds it. */
    public static function called(): string
    {
        return AsCalculation::of(static::class)->name;
    }

    public function name(): string
    {
        return $this->said()->name;
    }

    public function topic(): Topic
    {
        return $this->said()->topic;
    }

    public function act(): ?string
    {
        return $this->said()->act;
    }

    private function said(): AsCalculation
    {
        return $this->said ??= AsCalculation::of(static::class);
    }
}
