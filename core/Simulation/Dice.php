<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chances that fall the same way for the same seed, on every machine. */
final readonly class Dice
{
    private const SIDES = 1 << 30;

    private Randomizer $randomizer;

    public function __construct(private int $seed)
    {
        $this->randomizer = new Randomizer(new Mt19937($seed));
    }

    /** @return float evenly from 0 to below 1 */
    public function roll(): float
    {
        return $this->randomizer->getInt(0, self::SIDES - 1) / self::SIDES;
    }

    /** Dice of their own for one purpose: what is rolled with them does not depend on what was rolled before. */
    public function for(string $purpose): self
    {
        return new self((int) hexdec(hash('xxh32', $this->seed.' '.$purpose)));
    }

    /**
     * @template T of array-key
     *
     * @param non-empty-array<T, float|int> $shares of each; they need not sum to 1
     *
     * @return T
     */
    public function pick(array $shares): int|string
    {
        $left = $this->roll() * array_sum($shares);
        foreach ($shares as $choice => $share) {
            $left -= $share;
            if ($left < 0.0) {
                return $choice;
            }
        }

        return array_key_last($shares);
    }
}
