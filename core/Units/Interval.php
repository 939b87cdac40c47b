<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** The closed interval a reading must lie in, in the unit a person is shown when it does not. */
final readonly class Interval
{
    public function __construct(public float $least, public float $most, public Unit $unit)
    {
        if (!is_finite($least) || !is_finite($most) || $least > $most) {
            throw new \LogicException(\sprintf('No reading lies between %s and %s.', $least, $most));
        }
    }

    /** The same interval in another unit of its dimension. */
    public function in(Unit $unit): self
    {
        return new self($unit->fromSi($this->unit->toSi($this->least)), $unit->fromSi($this->unit->toSi($this->most)), $unit);
    }

    public function contains(Quantity $quantity): bool
    {
        return $this->spans($quantity->in($this->unit));
    }

    /** @param float $amount in the interval's own unit */
    public function spans(float $amount): bool
    {
        return $amount >= $this->least - self::slack($this->least) && $amount <= $this->most + self::slack($this->most);
    }

    /** @throws ImpossibleAmount when the quantity lies outside, with the interval in figures */
    public function demand(Quantity $quantity): void
    {
        if (!$this->contains($quantity)) {
            throw ImpossibleAmount::outside($quantity->in($this->unit), $this->least, $this->most, $this->unit->symbol());
        }
    }

    /** A limit typed in another unit comes back a few ulps off, at nothing by those of a temperature; that must not refuse it. */
    private static function slack(float $end): float
    {
        return 1e-9 * max(abs($end), 1e-3);
    }
}
