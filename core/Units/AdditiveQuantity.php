<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** A quantity with a true zero, which may be added, scaled and divided by its own kind (a temperature may not). */
abstract readonly class AdditiveQuantity extends Quantity
{
    public static function zero(): static
    {
        return static::fromSi(0.0);
    }

    public function plus(self $other): static
    {
        return static::fromSi($this->si + $other->sameKindAs($this));
    }

    public function minus(self $other): static
    {
        return static::fromSi($this->si - $other->sameKindAs($this));
    }

    public function times(float $factor): static
    {
        return static::fromSi($this->si * $factor);
    }

    /**
     * How many times the other goes into this one; dimensionless.
     *
     * @throws ImpossibleAmount when the other is zero
     */
    public function over(self $other): float
    {
        $divisor = $other->sameKindAs($this);
        if (0.0 === $divisor) {
            throw ImpossibleAmount::divisorIsZero();
        }

        return self::toThirteenFigures($this->si / $divisor);
    }

    private function sameKindAs(self $other): float
    {
        if (!$this instanceof $other) {
            throw new \LogicException(\sprintf('A %s does not add up with a %s.', static::class, $other::class));
        }

        return $this->si;
    }
}
