<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

/**
 * A reading over time, in order: seconds from its first sample, and SI amounts of one dimension.
 *
 * Plain arrays of floats, because a trace has up to 200 000 samples and objects would cost ten times the memory.
 */
final readonly class Series
{
    public const MOST_SAMPLES = 200_000;

    /** s: eleven days; nothing on a bench is watched for longer. */
    public const LONGEST = 1e6;

    /** SI, either way: ten thousand times what a gauge or tachometer of the trade can say. */
    public const MOST = 1e10;

    /** Of a sine's samples the tip stands out by 1.4 usual moves at the most, however it is sampled. */
    private const SPIKE_MOVES = 4.0;

    /**
     * @param list<float> $times  s, from 0 up, never twice the same
     * @param list<float> $values SI
     */
    private function __construct(public array $times, public array $values)
    {
    }

    /**
     * Sorts what came out of order; of samples with the same time the last stands; what no gauge can have said
     * (not finite, or beyond {@see LONGEST} and {@see MOST}) is left out.
     *
     * @param list<float> $times  s
     * @param list<float> $values SI, as many
     *
     * @throws UnreadableSeries when there are more than 200 000 samples, or not as many times as values
     */
    public static function fromSamples(array $times, array $values): self
    {
        if (\count($times) !== \count($values)) {
            throw UnreadableSeries::uneven(\count($times), \count($values));
        }
        if (\count($times) > self::MOST_SAMPLES) {
            throw UnreadableSeries::tooLong(self::MOST_SAMPLES);
        }
        $isInOrder = true;
        $before = -\INF;
        foreach ($times as $index => $time) {
            if (!($time > $before) || !self::isPossible($time, $values[$index])) {
                $isInOrder = false;
                break;
            }
            $before = $time;
        }
        if (!$isInOrder) {
            [$times, $values] = self::sorted($times, $values);
        }
        $start = $times[0] ?? 0.0;
        if (0.0 !== $start) {
            foreach ($times as $index => $time) {
                $times[$index] = $time - $start;
            }
        }

        return new self($times, $values);
    }

    /** NaN compares as false with everything, and so is impossible too. */
    public static function isPossible(float $time, float $value): bool
    {
        return abs($time) <= self::LONGEST && abs($value) <= self::MOST;
    }

    public function count(): int
    {
        return \count($this->times);
    }

    /** @return float s from the first sample to the last, 0 for an empty one */
    public function duration(): float
    {
        return [] === $this->times ? 0.0 : $this->times[\count($this->times) - 1] - $this->times[0];
    }

    /** @return float s, the usual distance of two samples; 0 for fewer than two */
    public function step(): float
    {
        $steps = [];
        // A few hundred of them tell as much as all.
        $stride = max(1, intdiv($this->count(), 500));
        for ($index = 1; $index < $this->count(); $index += $stride) {
            $steps[] = $this->times[$index] - $this->times[$index - 1];
        }

        return Statistics::median($steps);
    }

    /**
     * Where samples are missing: further apart than ten usual steps, and than half a second.
     *
     * @return list<array{float, float}> from and to, s
     */
    public function gaps(): array
    {
        $least = max(0.5, 10 * $this->step());
        $gaps = [];
        for ($index = 1; $index < $this->count(); ++$index) {
            if ($this->times[$index] - $this->times[$index - 1] > $least) {
                $gaps[] = [$this->times[$index - 1], $this->times[$index]];
            }
        }

        return $gaps;
    }

    /**
     * The median of each stretch of time, which no spike within it shifts; a stretch without a sample has no bin.
     *
     * @param float $width s, above 0
     */
    public function binned(float $width): self
    {
        $times = [];
        $medians = [];
        $bin = [];
        $number = 0;
        foreach ($this->times as $index => $time) {
            $here = (int) floor($time / $width + 1e-9);
            if ($here !== $number && [] !== $bin) {
                $times[] = ($number + 0.5) * $width;
                $medians[] = Statistics::median($bin);
                $bin = [];
            }
            $number = $here;
            $bin[] = $this->values[$index];
        }
        if ([] !== $bin) {
            $times[] = ($number + 0.5) * $width;
            $medians[] = Statistics::median($bin);
        }

        return new self($times, $medians);
    }

    /** The median of each value and its neighbours: no lonely one stands out, and no tip of a quick swing either. */
    public function smoothed(): self
    {
        $smooth = [];
        foreach ($this->values as $index => $middle) {
            [$left, $right] = [$this->values[$index - 1] ?? $middle, $this->values[$index + 1] ?? $middle];
            $smooth[] = max(min($left, $middle), min(max($left, $middle), $right));
        }

        return new self($this->times, $smooth);
    }

    /**
     * Without single samples that stand out from both neighbours further than samples usually move, while the neighbours
     * agree: a spike of the gauge. The tip of a swing stands out by less than that however few samples it has, and stays.
     */
    public function despiked(): self
    {
        $moves = [];
        for ($index = 1; $index < $this->count(); ++$index) {
            $moves[] = abs($this->values[$index] - $this->values[$index - 1]);
        }
        $usual = Statistics::median($moves);
        $values = [];
        foreach ($this->values as $index => $here) {
            $values[] = $here;
            if (!isset($this->values[$index - 1], $this->values[$index + 1])) {
                continue;
            }
            [$left, $right] = [$this->values[$index - 1], $this->values[$index + 1]];
            $out = min(abs($here - $left), abs($here - $right));
            $isTip = ($here - $left) * ($here - $right) > 0.0;
            if ($isTip && $out > self::SPIKE_MOVES * $usual && abs($left - $right) < $out / 2) {
                $values[\count($values) - 1] = ($left + $right) / 2;
            }
        }

        return new self($this->times, $values);
    }

    /** Every value so many times itself. */
    public function times(float $factor): self
    {
        return new self($this->times, array_map(static fn (float $value): float => $factor * $value, $this->values));
    }

    /** Of the samples from one index up to and including the other. */
    public function between(int $from, int $to): self
    {
        return new self(\array_slice($this->times, $from, $to - $from + 1), \array_slice($this->values, $from, $to - $from + 1));
    }

    /**
     * @param list<float> $times
     * @param list<float> $values
     *
     * @return array{list<float>, list<float>}
     */
    private static function sorted(array $times, array $values): array
    {
        $byTime = [];
        $order = $times;
        asort($order);
        $kept = [];
        foreach (array_keys($order) as $index) {
            if (!self::isPossible($times[$index], $values[$index])) {
                continue;
            }
            $last = \count($byTime) - 1;
            if ($last >= 0 && $byTime[$last] === $times[$index]) {
                $kept[$last] = $values[$index];
                continue;
            }
            $byTime[] = $times[$index];
            $kept[] = $values[$index];
        }

        return [$byTime, array_values($kept)];
    }
}
