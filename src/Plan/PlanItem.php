<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Job\Job;

/** A piece of work, or a wait, where it stands in the plan. */
final readonly class PlanItem
{
    /**
     * @param string       $kind     the piece of work, or what is waited for
     * @param list<string> $places   lift, bath, pad
     * @param bool         $isLikely it may be spared by what is found before
     */
    public function __construct(
        public string $id,
        public Job $job,
        public string $kind,
        public \DateTimeImmutable $start,
        public \DateTimeImmutable $end,
        public int $from,
        public int $to,
        public ?Member $hands,
        public array $places,
        public bool $isWait,
        public bool $isLikely,
        public ?Mark $mark,
    ) {
    }

    public function isUnderWay(): bool
    {
        return null !== $this->mark?->getStartedAt();
    }

    public function isPinned(): bool
    {
        return null !== $this->mark?->getPinnedAt();
    }

    public function isHeld(): bool
    {
        return str_starts_with($this->kind, 'held-');
    }

    public function minutes(): int
    {
        return $this->to - $this->from;
    }
}
