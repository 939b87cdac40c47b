<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class Temperature extends Quantity
{
    /** @throws ImpossibleAmount when not finite or below absolute zero */
    public static function celsius(float $amount): self
    {
        return self::of($amount, TemperatureUnit::Celsius);
    }

    public function inCelsius(): float
    {
        return $this->in(TemperatureUnit::Celsius);
    }

    protected function guard(): void
    {
        // The tolerance lets −459.67 °F, absolute zero itself, survive its own conversion.
        if ($this->si < -1e-9) {
            throw ImpossibleAmount::belowAbsoluteZero($this->si);
        }
    }

    public static function units(): array
    {
        return TemperatureUnit::cases();
    }
}
