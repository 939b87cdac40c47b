<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Units\ImpossibleAmount;

/**
 * What a job may come to: for every fault the chance that it is there, and what its cure takes and costs where it is. The
 * faults are taken to fall independently of one another, and a cure to cost evenly between its least and its most, so
 * the whole is a spread of sums rather than a sum of means: wide at intake, and narrower with everything found.
 */
final readonly class Quote
{
    /** Dollars a bin of the spread, and the most that is spread; what costs more is never worth asking. */
    private const BIN = 2.0;
    private const BINS = 4000;

    /** What is left of chance after the last bin counts as the most. */
    private const TAIL = 0.10;

    /**
     * @param list<float>                $spread probability of each bin
     * @param array<string, QuotedFault> $faults the dearest first, by what they are expected to cost
     */
    private function __construct(private array $spread, public array $faults, public float $leastHours, public float $mostHours)
    {
    }

    /**
     * @param array<string, float> $chances by fault, 0 to 1; 1 for what was put right already
     * @param float                $wage    dollars an hour, 0 to 1000
     * @param float                $base    hours of looking, jar and proving, 0 to 20
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function reckoned(array $chances, Cures $cures, float $wage, float $base): self
    {
        ImpossibleAmount::unlessBetween($wage, 0.0, 1000.0, '$');
        ImpossibleAmount::unlessBetween($base, 0.0, 20.0, 'h');
        $start = self::bin($wage * $base);
        $spread = array_map(static fn (int $bin): float => $bin === $start ? 1.0 : 0.0, range(0, self::BINS - 1));
        $faults = [];
        $mean = $base;
        $variance = 0.0;
        foreach ($chances as $fault => $chance) {
            ImpossibleAmount::unlessBetween($chance, 0.0, 1.0, '');
            [$quick, $slow] = array_map(static fn (int $minutes): float => $minutes / 60, $cures->minutes($fault));
            [$cheap, $dear] = $cures->dollars($fault);
            [$least, $most] = [$wage * $quick + $cheap, $wage * $slow + $dear];
            $faults[$fault] = new QuotedFault($chance, $least, $most);
            $spread = self::with($spread, $chance, self::bin($least), self::bin($most));
            $hours = ($quick + $slow) / 2;
            $mean += $chance * $hours;
            $variance += $chance * ($hours ** 2 + ($slow - $quick) ** 2 / 12) - ($chance * $hours) ** 2;
        }
        uasort($faults, static fn (QuotedFault $one, QuotedFault $other): int => $other->expected() <=> $one->expected());
        // Four fifths of a sum of many lie within 1.28 standard deviations (published: the normal distribution).
        $reach = 1.2816 * sqrt(max(0.0, $variance));

        return new self($spread, $faults, max($base, $mean - $reach), $mean + $reach);
    }

    /** @return float dollars that are not exceeded with a chance of one in ten */
    public function least(): float
    {
        return $this->quantile(self::TAIL);
    }

    /** @return float dollars that are exceeded with a chance of one in two */
    public function middle(): float
    {
        return $this->quantile(0.5);
    }

    /** @return float dollars that are exceeded with a chance of one in ten */
    public function most(): float
    {
        return $this->quantile(1 - self::TAIL);
    }

    /** @return float chance that it comes to no more, 0 to 1 */
    public function within(float $dollars): float
    {
        return min(1.0, array_sum(\array_slice($this->spread, 0, self::bin($dollars) + 1)));
    }

    private function quantile(float $share): float
    {
        $sum = 0.0;
        foreach ($this->spread as $bin => $chance) {
            $sum += $chance;
            if ($sum >= $share) {
                return $bin * self::BIN;
            }
        }

        return (self::BINS - 1) * self::BIN;
    }

    private static function bin(float $dollars): int
    {
        return min(self::BINS - 1, max(0, (int) round($dollars / self::BIN)));
    }

    /**
     * @param list<float> $spread
     *
     * @return list<float> with a cost evenly from one bin to another, at a chance
     */
    private static function with(array $spread, float $chance, int $least, int $most): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($spread as $one) {
            $sums[] = $sum += $one;
        }
        $width = $most - $least + 1;
        $next = [];
        foreach ($spread as $bin => $without) {
            // All bins from which a cost of this many leads here.
            [$from, $to] = [max(0, $bin - $most), $bin - $least];
            $reaching = $to < 0 ? 0.0 : ($sums[$to + 1] - $sums[$from]) / $width;
            $next[] = (1 - $chance) * $without + $chance * $reaching;
        }
        // Beyond the end nothing is told apart.
        $last = (float) array_pop($next);
        $next[] = max($last, $sum - array_sum($next));

        return $next;
    }
}
