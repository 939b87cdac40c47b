<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\ImpossibleAmount;

/** How old the fuel in a jar is said to be: in months, or nobody knows. */
final readonly class FuelAge
{
    /** Past this the default school drains it, whatever it smells like (common practice). */
    public const LIMIT_MONTHS = 6.0;

    private const MOST_MONTHS = 600.0;

    private function __construct(public ?float $months)
    {
    }

    /** @throws ImpossibleAmount when not 0 to 600 months */
    public static function months(float $months): self
    {
        ImpossibleAmount::unlessBetween($months, 0.0, self::MOST_MONTHS, 'months');

        return new self($months);
    }

    public static function unknown(): self
    {
        return new self(null);
    }

    public function isKnown(): bool
    {
        return null !== $this->months;
    }

    public function isPastLimit(): bool
    {
        return null !== $this->months && $this->months > self::LIMIT_MONTHS;
    }
}
