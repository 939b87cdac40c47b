<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\Finding;

/** On which side of the engine it lies, and what was found that says so. */
final readonly class Split
{
    /** From so likely on a side is named (invented). */
    private const NAMED = 0.5;

    /** Sides within so much of the first are named with it (invented). */
    private const BESIDE = 0.15;

    /**
     * @param non-empty-array<string, float> $sides by side (fuel, spark, compression, timing, air), the chance that at least one fault of it is there
     * @param list<Finding>                  $facts what was found that splits it, the most telling first; none as long as nothing says that it does not run
     */
    public function __construct(public array $sides, public array $facts)
    {
    }

    /** @return list<string> the sides it lies on, the likeliest first; none where nothing points at one */
    public function named(): array
    {
        $most = max($this->sides);
        if ([] === $this->facts || $most < self::NAMED) {
            return [];
        }
        $named = array_filter($this->sides, static fn (float $share): bool => $share >= $most - self::BESIDE);
        arsort($named);

        return array_keys($named);
    }
}
