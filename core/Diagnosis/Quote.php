<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Units\ImpossibleAmount;

/**
 * What a job may come to: for every fault the chance that it is there, and what its cure takes and costs where it is. The
 * faults are taken to fall independently of one another, a cure to cost evenly between its least and its most, and cures
 * that share their work to take the longest and a share of the others; so the whole is a spread of sums rather than a
 * sum of means: wide at intake, and narrower with everything found.
 */
final readonly class Quote
{
    /** Two fifths of the spread lie to either side of the middle. */
    private const TAIL = 0.10;

    /** Where the work of a fault is done, by the first word of its name. */
    private const STEPS = ['fuel' => 'fuel', 'tank' => 'fuel', 'path' => 'fuel', 'oil' => 'oil', 'carb' => 'carburetor', 'primer' => 'carburetor', 'intake' => 'carburetor', 'choke' => 'carburetor', 'linkage' => 'carburetor', 'spark' => 'spark', 'timing' => 'spark', 'cylinder' => 'engine', 'valve' => 'engine', 'engine' => 'engine', 'crank' => 'engine', 'exhaust' => 'engine', 'breather' => 'engine'];

    /** Two dollars at a dollar a minute: two minutes. */
    private const WAGE_OF_MINUTES = 60.0;

    /**
     * @param array<string, QuotedFault> $faults the dearest first, by what they are expected to cost
     * @param array<string, float>       $steps  hours on the average, by where the work is
     */
    private function __construct(private Spread $dollars, private Spread $minutes, public array $faults, public array $steps)
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
        $faults = [];
        foreach ($chances as $fault => $chance) {
            ImpossibleAmount::unlessBetween($chance, 0.0, 1.0, '');
            [[$quick, $slow], [$cheap, $dear]] = [$cures->minutes($fault), $cures->dollars($fault)];
            $faults[$fault] = new QuotedFault($chance, $wage * $quick / 60 + $cheap, $wage * $slow / 60 + $dear);
        }
        uasort($faults, static fn (QuotedFault $one, QuotedFault $other): int => $other->expected() <=> $one->expected());

        return new self(self::spread($chances, $cures, $wage, $base, true), self::spread($chances, $cures, self::WAGE_OF_MINUTES, $base, false), $faults, self::steps($chances, $cures, $base));
    }

    /** Where the work of a fault is done: fuel, oil, carburetor, spark, engine or rest. */
    public static function partOf(string $fault): string
    {
        return self::STEPS[strstr($fault, '.', true)] ?? 'rest';
    }

    /** @return float dollars that are not exceeded with a chance of one in ten */
    public function least(): float
    {
        return $this->dollars->quantile(self::TAIL);
    }

    /** @return float dollars that are exceeded with a chance of one in two */
    public function middle(): float
    {
        return $this->dollars->quantile(0.5);
    }

    /** @return float dollars that are exceeded with a chance of one in ten */
    public function most(): float
    {
        return $this->dollars->quantile(1 - self::TAIL);
    }

    /** @return array{float, float} hours it hardly takes less, and hardly more than */
    public function hours(): array
    {
        return [$this->minutes->quantile(self::TAIL) / 60, $this->minutes->quantile(1 - self::TAIL) / 60];
    }

    /** @return float chance that it comes to no more, 0 to 1 */
    public function within(float $dollars): float
    {
        return $this->dollars->within($dollars);
    }

    /**
     * @param array<string, float> $chances
     *
     * @return array<string, float> hours on the average: looking, and what is done at each part of the machine
     */
    private static function steps(array $chances, Cures $cures, float $base): array
    {
        $steps = ['looking' => $base, 'fuel' => 0.0, 'oil' => 0.0, 'carburetor' => 0.0, 'spark' => 0.0, 'engine' => 0.0, 'rest' => 0.0];
        foreach ($cures->grouped(array_keys($chances)) as $group) {
            $none = 1.0;
            foreach ($group as $fault) {
                $minutes = array_sum($cures->minutes($fault)) / 2;
                $steps[self::partOf($fault)] += $chances[$fault] * ($none + (1 - $none) * $cures->beside) * $minutes / 60;
                $none *= 1 - $chances[$fault];
            }
        }

        return $steps;
    }

    /** @param array<string, float> $chances */
    private static function spread(array $chances, Cures $cures, float $wage, float $base, bool $hasParts): Spread
    {
        $spread = Spread::of($wage * $base);
        foreach ($cures->grouped(array_keys($chances)) as $group) {
            // Whoever comes first of a group is its longest; what comes after has most of its work done.
            [$none, $some] = [$spread, Spread::nothing()];
            foreach ($group as $fault) {
                $chance = $chances[$fault];
                [[$quick, $slow], [$cheap, $dear]] = [$cures->minutes($fault), $hasParts ? $cures->dollars($fault) : [0, 0]];
                $with = static fn (Spread $before, float $share): Spread => $before->plus($share * $wage * $quick / 60 + $cheap, $share * $wage * $slow / 60 + $dear);
                $some = $some->times(1 - $chance)->and($with($some, $cures->beside)->times($chance))->and($with($none, 1.0)->times($chance));
                $none = $none->times(1 - $chance);
            }
            $spread = $none->and($some);
        }

        return $spread;
    }
}
