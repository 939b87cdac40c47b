<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/**
 * A finite amount of one dimension, held in SI.
 *
 * Subclasses name their units; amounts may be negative, because differences are: whoever needs a
 * positive one asks for it with {@see Interval}.
 */
abstract readonly class Quantity
{
    /** @throws ImpossibleAmount when not a finite number, or below what the dimension allows */
    final private function __construct(protected float $si)
    {
        if (!is_finite($si)) {
            throw ImpossibleAmount::notFinite();
        }
        $this->guard();
    }

    /**
     * @throws ImpossibleAmount when not a finite number, or below what the dimension allows
     * @throws \LogicException  when the unit is of another dimension
     */
    public static function of(float $amount, Unit $unit): static
    {
        return new static(static::own($unit)->toSi($amount));
    }

    /**
     * Every unit of the dimension.
     *
     * @return non-empty-list<Unit>
     */
    abstract public static function units(): array;

    /**
     * To thirteen figures: what was said in a unit is the same in that unit again, and at an edge of the trade when it was
     * said to be at it, whatever the way there and back has left in the last digits.
     *
     * @throws \LogicException when the unit is of another dimension
     */
    public function in(Unit $unit): float
    {
        return self::toThirteenFigures(static::own($unit)->fromSi($this->si));
    }

    protected static function toThirteenFigures(float $amount): float
    {
        return 0.0 === $amount ? 0.0 : round($amount, 12 - (int) floor(log10(abs($amount))));
    }

    /** A difference of this size in a unit: what an offset scale (°C, °F) counts from does not enter. */
    public function per(Unit $unit): float
    {
        return abs(static::own($unit)->fromSi($this->si) - static::own($unit)->fromSi(0.0));
    }

    public function isGreaterThan(self $other): bool
    {
        return $this->comparedWith($other) > 0;
    }

    public function isLessThan(self $other): bool
    {
        return $this->comparedWith($other) < 0;
    }

    protected static function fromSi(float $si): static
    {
        return new static($si);
    }

    /** A dimension with a floor (absolute zero) refuses here. */
    protected function guard(): void
    {
    }

    final protected static function own(Unit $unit): Unit
    {
        if (static::units()[0]::class !== $unit::class) {
            throw new \LogicException(\sprintf('%s is not a unit of %s.', $unit->symbol(), static::class));
        }

        return $unit;
    }

    private function comparedWith(self $other): int
    {
        if (!$other instanceof static) {
            throw new \LogicException(\sprintf('A %s cannot be compared with a %s.', static::class, $other::class));
        }

        return $this->si <=> $other->si;
    }
}
