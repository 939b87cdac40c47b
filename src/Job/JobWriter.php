<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Once\Turns;
use Doctrine\ORM\EntityManagerInterface;

/**
 * The one way to write anything of a job: findings, acts, moves, waits, waste, photos, wanted parts, recordings.
 *
 * Each call is one transaction in the job's turn, so two people at one machine write one after the other; it
 * refuses a machine that went home, and does its work at most once per request key.
 */
final readonly class JobWriter
{
    public function __construct(private EntityManagerInterface $entities, private Turns $turns, private OncePerKey $once)
    {
    }

    /**
     * @param \Closure(): (int|null) $change told nothing; the job is as the database has it in its turn
     *
     * @return int|null what the change, or the first with this key, returned
     *
     * @throws ClosedJob unless a machine that went home may be written on
     */
    public function write(Job $job, Member $by, RequestKey $key, \Closure $change, bool $evenIfHandedBack = false): ?int
    {
        return $this->once->run($key, $by->getId(), function () use ($job, $change, $evenIfHandedBack): ?int {
            $this->turns->take($job);
            if ($job->isHandedBack() && !$evenIfHandedBack) {
                throw new ClosedJob();
            }

            return $change();
        });
    }

    /**
     * Takes a new job in; there is nothing to hold yet.
     *
     * @param \Closure(): void $fill what comes with it
     *
     * @return int its number, the same however often the same key is sent
     */
    public function begin(Job $job, Member $by, RequestKey $key, \Closure $fill): int
    {
        return $this->once->run($key, $by->getId(), function () use ($job, $fill): int {
            $this->entities->persist($job);
            $fill();

            return $job->getId();
        }) ?? throw new \LogicException('Taking in made a job.');
    }
}
