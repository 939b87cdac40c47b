<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Wait> */
final class WaitRepository extends ServiceEntityRepository
{
    /** More than a bench can have under way; a bar of a hundred would tell nobody anything. */
    private const MOST_SHOWN = 12;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Wait::class);
    }

    /** @return list<Wait> what is under way, first ready first, with its machine */
    public function underWay(): array
    {
        /** @var list<Wait> $waits */
        $waits = $this->createQueryBuilder('wait')
            ->addSelect('job', 'machine')
            ->innerJoin('wait.job', 'job')
            ->innerJoin('job.machine', 'machine')
            ->where('wait.endedAt IS NULL')
            ->orderBy('wait.readyAt')
            ->setMaxResults(self::MOST_SHOWN)
            ->getQuery()->getResult();

        return $waits;
    }

    /** @return list<Wait> what is under way for one job, first ready first */
    public function ofJob(Job $job): array
    {
        return $this->findBy(['job' => $job, 'endedAt' => null], ['readyAt' => 'ASC']);
    }

    public function runningFor(Job $job, WaitKind $kind): ?Wait
    {
        return $this->findOneBy(['job' => $job, 'kind' => $kind, 'endedAt' => null], ['id' => 'DESC']);
    }
}
