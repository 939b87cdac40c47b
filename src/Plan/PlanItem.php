<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\Core\Progress\Progress;

/** A piece of work, or a wait, where it stands in the plan. */
final readonly class PlanItem
{
    /** Pieces of work in which an engine runs. */
    private const RUNS = ['first_run', 'oil_hot', 'proof'];
    private const NOT_TO_BE_RUN = [Progress::TakenIn, Progress::Stopped, Progress::AtGates, Progress::Apart, Progress::GoingTogether];

    /**
     * @param string       $kind     the piece of work, or what is waited for
     * @param list<string> $places   lift, bath, pad
     * @param bool         $isLikely it may be spared by what is found before
     */
    public function __construct(
        public string $id,
        public PlannedJob $job,
        public string $kind,
        public \DateTimeImmutable $start,
        public \DateTimeImmutable $end,
        public int $from,
        public int $to,
        public ?Hand $hands,
        public array $places,
        public bool $isWait,
        public bool $isLikely,
        public ?OpenMark $mark,
    ) {
    }

    /** An engine would run, and what stands before that is not passed: nothing here may call for it. */
    public function isShut(): bool
    {
        return self::shuts($this->job->stand, $this->kind);
    }

    public static function shuts(Progress $stand, string $kind): bool
    {
        return \in_array($kind, self::RUNS, true) && \in_array($stand, self::NOT_TO_BE_RUN, true);
    }

    public function isUnderWay(): bool
    {
        return true === $this->mark?->isStarted;
    }

    public function isPinned(): bool
    {
        return true === $this->mark?->isPinned;
    }

    public function minutes(): int
    {
        return $this->to - $this->from;
    }
}
