<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

/** What a promise is worth: when a job ended in each of many replays of the plan. */
final readonly class JobOdds
{
    /** @var list<int> in order */
    private array $ends;

    /**
     * @param list<int>    $ends    minute in each replay
     * @param int|null     $due     null: nothing is promised
     * @param list<string> $hangsOn operations that took longer most often where it was late
     */
    public function __construct(array $ends, public ?int $due, public array $hangsOn)
    {
        sort($ends);
        $this->ends = $ends;
    }

    /** @return float share of the replays in which the promise is kept, 0 to 1; 1 where nothing is promised */
    public function kept(): float
    {
        if (null === $this->due || [] === $this->ends) {
            return 1.0;
        }
        $due = $this->due;

        return \count(array_filter($this->ends, static fn (int $end): bool => $end <= $due)) / \count($this->ends);
    }

    /**
     * @param float $share above 0, to 1
     *
     * @return int the minute by which it is ready in so many of the replays
     */
    public function readyBy(float $share): int
    {
        return $this->ends[max(0, (int) ceil($share * \count($this->ends)) - 1)] ?? 0;
    }
}
