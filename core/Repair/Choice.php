<?php

declare(strict_types=1);

namespace AwakeShed\Core\Repair;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\MoneyUnit;

/**
 * Clean, kit or replace, by expected cost: parts + labor + (1 − p)·(the way one falls back on + a comeback). Cleaning and
 * kit fall back on replacing; replacing on replacing once more.
 */
final readonly class Choice
{
    /** 80 % of the belief lies within. */
    private const TAIL = 0.10;

    /** @param non-empty-list<WayCost> $ways cheapest first */
    private function __construct(public array $ways, private Money $replacing, private Money $comeback, private Money $wage)
    {
    }

    /**
     * @param non-empty-list<WayOdds> $ways     each at most once, replacing among them
     * @param Money                   $wage     an hour, 0 to 1000 $
     * @param Money                   $comeback of a machine that comes back, 0 to 10 000 $
     *
     * @throws ImpossibleAmount when a sum or a time is outside its interval
     */
    public static function between(array $ways, Money $wage, Money $comeback): self
    {
        (new Interval(0.0, 1_000.0, MoneyUnit::Dollar))->demand($wage);
        (new Interval(0.0, 10_000.0, MoneyUnit::Dollar))->demand($comeback);
        $replace = null;
        foreach ($ways as $way) {
            (new Interval(0.0, 10_000.0, MoneyUnit::Dollar))->demand($way->parts);
            (new Interval(0.0, 100.0, DurationUnit::Hour))->demand($way->labor);
            if (Way::Replace === $way->way) {
                $replace = $way;
            }
        }
        if (null === $replace) {
            throw new \LogicException('Every other way falls back on replacing.');
        }
        // A new one that does not work is changed for the next: tries until one works, each with the same odds.
        $once = self::outlay($replace, $wage);
        $replacing = static fn (float $p): Money => $once->plus($comeback->times(1 - $p))->times(1 / $p);
        $mean = $replacing($replace->odds->mean());
        $costs = [];
        foreach ($ways as $way) {
            $cost = Way::Replace === $way->way
                ? $replacing
                : static fn (float $p): Money => self::outlay($way, $wage)->plus($mean->plus($comeback)->times(1 - $p));
            [$least, $most] = [$way->odds->quantile(self::TAIL), $way->odds->quantile(1 - self::TAIL)];
            $costs[] = new WayCost($way, $cost($way->odds->mean()), $cost($most), $cost($least), $least, $most);
        }
        usort($costs, static fn (WayCost $one, WayCost $other): int => $one->expected->inDollars() <=> $other->expected->inDollars());

        return new self($costs, $mean, $comeback, $wage);
    }

    public function cheapest(): WayCost
    {
        return $this->ways[0];
    }

    /** The cheapest's dear end reaches into the next one's mean, or the next one's cheap end into its: nobody can tell. */
    public function isTossUp(): bool
    {
        if (!isset($this->ways[1])) {
            return false;
        }
        [$first, $second] = $this->ways;

        return !$first->most->isLessThan($second->expected) || !$second->least->isGreaterThan($first->expected);
    }

    /**
     * The odds from which a way is worth trying before replacing.
     *
     * @return float 0 to 1; above 1 when even certainty would not pay
     */
    public function breakEven(WayOdds $way): float
    {
        $fallback = $this->replacing->plus($this->comeback);
        if (!$fallback->isGreaterThan(Money::zero())) {
            // Where falling back costs nothing, any odds will do for what costs nothing, and none for what costs something.
            return self::outlay($way, $this->wage)->isGreaterThan(Money::zero()) ? 2.0 : 0.0;
        }

        return 1 - $this->replacing->minus(self::outlay($way, $this->wage))->over($fallback);
    }

    /** Even the cheapest way costs more than the machine is worth running. */
    public function isWorthIt(Money $machine): bool
    {
        return !$this->cheapest()->expected->isGreaterThan($machine);
    }

    private static function outlay(WayOdds $way, Money $wage): Money
    {
        return $way->parts->plus($wage->times($way->labor->over(Duration::of(1, DurationUnit::Hour))));
    }
}
