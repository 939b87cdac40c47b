<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** How probability spreads over amounts from nothing up, in bins of two; sums of chances are exact to a bin. */
final readonly class Spread
{
    private const BIN = 2.0;

    /** What costs more is never worth asking, and is not told apart. */
    private const BINS = 4000;

    /** @param array<int, float> $bins probability by bin; those without any are left out */
    private function __construct(private array $bins)
    {
    }

    public static function of(float $amount): self
    {
        return new self([self::bin($amount) => 1.0]);
    }

    public static function nothing(): self
    {
        return new self([]);
    }

    /** With all its chances so many times themselves. */
    public function times(float $chance): self
    {
        return 0.0 === $chance ? self::nothing() : new self(array_map(static fn (float $one): float => $chance * $one, $this->bins));
    }

    /** The chances of both. */
    public function and(self $other): self
    {
        $bins = $this->bins;
        foreach ($other->bins as $bin => $chance) {
            $bins[$bin] = ($bins[$bin] ?? 0.0) + $chance;
        }

        return new self($bins);
    }

    /** With an amount on top that falls evenly between two. */
    public function plus(float $least, float $most): self
    {
        if ([] === $this->bins) {
            return $this;
        }
        [$from, $to] = [self::bin($least), self::bin($most)];
        [$first, $last] = [min(array_keys($this->bins)), max(array_keys($this->bins))];
        $sums = [0.0];
        for ($bin = $first; $bin <= $last; ++$bin) {
            $sums[] = $sums[$bin - $first] + ($this->bins[$bin] ?? 0.0);
        }
        $bins = [];
        for ($bin = $first + $from; $bin <= $last + $to; ++$bin) {
            // All bins from which an amount of this many leads here.
            [$low, $high] = [max($first, $bin - $to), min($last, $bin - $from)];
            $here = min(self::BINS, $bin);
            $bins[$here] = ($bins[$here] ?? 0.0) + ($sums[$high - $first + 1] - $sums[$low - $first]) / ($to - $from + 1);
        }

        return new self($bins);
    }

    /** @return float the amount that is not exceeded with this chance */
    public function quantile(float $chance): float
    {
        $bins = $this->bins;
        ksort($bins);
        $sum = 0.0;
        foreach ($bins as $bin => $one) {
            $sum += $one;
            if ($sum >= $chance) {
                return $bin * self::BIN;
            }
        }

        return self::BINS * self::BIN;
    }

    /** @return float chance of no more than an amount, 0 to 1 */
    public function within(float $amount): float
    {
        $most = self::bin($amount);

        return min(1.0, array_sum(array_filter($this->bins, static fn (int $bin): bool => $bin <= $most, \ARRAY_FILTER_USE_KEY)));
    }

    private static function bin(float $amount): int
    {
        return min(self::BINS, max(0, (int) round($amount / self::BIN)));
    }
}
