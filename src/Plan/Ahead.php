<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\Core\Schedule\Season\Forecast;

/**
 * The weeks ahead as they are looked at.
 *
 * @phpstan-import-type Week from WeeksAhead
 */
final readonly class Ahead
{
    /**
     * @param list<Week>              $weeks
     * @param array<string, float>    $byWork     hours of hands by kind of work that are in the shed
     * @param float                   $typical    hours of hands a machine takes of which nothing is known
     * @param bool                    $isSnowOwn  somebody here has set that day
     * @param \DateTimeImmutable|null $beforeSnow the last day to take in what is wanted by then; null where it is too late
     * @param array<string, int>      $kinds      machines by kind in the last year
     */
    public function __construct(
        public array $weeks,
        public array $byWork,
        public Forecast $forecast,
        public float $typical,
        public \DateTimeImmutable $snow,
        public bool $isSnowOwn,
        public ?\DateTimeImmutable $beforeSnow,
        public ?\DateTimeImmutable $beforeSnowWithout,
        public \DateTimeImmutable $spring,
        public ?\DateTimeImmutable $beforeSpring,
        public ?\DateTimeImmutable $beforeSpringWithout,
        public array $kinds,
    ) {
    }

    public function most(): float
    {
        return max([1.0, ...array_map(static fn (array $week): float => max($week['hours'], $week['comes'] + $week['left']), $this->weeks)]);
    }
}
