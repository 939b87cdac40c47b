<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Derivation;
use AwakeShed\App\Job\Job;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** Asks for parts where the work itself says that one is wanted. */
final readonly class PartsWanted
{
    public function __construct(private WantedPartRepository $parts, private EntityManagerInterface $entities, private ClockInterface $clock, private Derivation $derivation)
    {
    }

    /** Whether a job waits for a part is part of where it stands. */
    public function standsAnew(Job $job): void
    {
        $this->entities->flush();
        $job->waitForParts([] !== $this->parts->waitedFor([$job->getId()]));
        $this->derivation->recompute($job);
    }

    /** Once: what is wanted already, or has come, is not asked for again. Nothing is flushed. */
    public function want(Job $job, string $name, Member $by): void
    {
        foreach ($this->parts->ofJob($job) as $part) {
            if ($part->getName() === $name && WantedState::Dropped !== $part->getState()) {
                return;
            }
        }
        $this->entities->persist(new WantedPart($job, $name, 1, $by, $this->clock->now()));
        $job->waitForParts(true);
    }
}
