<?php

declare(strict_types=1);

namespace AwakeShed\App\Season;

use AwakeShed\App\Job\Job;
use Doctrine\ORM\EntityManagerInterface;

/** The machines that went home, each by its last stay. */
final readonly class HomeMachines
{
    /** What went home longer ago has another shop, or none. */
    private const MOST = 200;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @return list<Job> what went home last first */
    public function last(): array
    {
        /** @var list<Job> $jobs */
        $jobs = $this->entities->getRepository(Job::class)->createQueryBuilder('job')
            ->addSelect('machine')->innerJoin('job.machine', 'machine')
            ->where('job.handedBackAt IS NOT NULL')
            ->orderBy('job.handedBackAt', 'DESC')->setMaxResults(self::MOST)
            ->getQuery()->getResult();
        $last = [];
        foreach ($jobs as $job) {
            $last[$job->getMachine()->getId()] ??= $job;
        }

        return array_values($last);
    }
}
