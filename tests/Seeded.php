<?php

declare(strict_types=1);

namespace AwakeShed\Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Random choices that are the same in every run. */
final readonly class Seeded
{
    private const STEPS = 1_000_000;

    private Randomizer $randomizer;

    public function __construct(int $seed)
    {
        $this->randomizer = new Randomizer(new Mt19937($seed));
    }

    /** Evenly between the two, both reachable. */
    public function float(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->randomizer->getInt(0, self::STEPS) / self::STEPS;
    }

    public function int(int $least, int $most): int
    {
        return $this->randomizer->getInt($least, $most);
    }

    /**
     * @template T
     *
     * @param list<T> $choices at least one
     *
     * @return T
     */
    public function one(array $choices): mixed
    {
        return $choices[$this->randomizer->getInt(0, \count($choices) - 1)];
    }
}
