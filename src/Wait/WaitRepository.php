<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Wait> */
final class WaitRepository extends ServiceEntityRepository
{
    /** {@see WaitLines::UNDER_WAY}, in the words of the ORM. */
    private const UNDER_WAY = 'wait.endedAt IS NULL AND (entry.id IS NULL OR entry.struck = false)';

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Wait::class);
    }

    /** @return list<Wait> all that is under way, first ready first, with its machine */
    public function underWay(): array
    {
        /** @var list<Wait> $waits */
        $waits = $this->createQueryBuilder('wait')
            ->addSelect('job', 'machine')
            ->innerJoin('wait.job', 'job')
            ->innerJoin('job.machine', 'machine')
            ->leftJoin('wait.entry', 'entry')
            ->where(self::UNDER_WAY)
            ->orderBy('wait.readyAt')
            ->getQuery()->getResult();

        return $waits;
    }

    /** @return list<Wait> what is under way for one job, first ready first */
    public function ofJob(Job $job): array
    {
        // Most jobs wait for nothing, which a plain question tells for a third of the price.
        $numbers = $this->getEntityManager()->getConnection()->fetchFirstColumn('SELECT wait.id FROM '.WaitLines::UNDER_WAY.' AND wait.job_id = ?', [$job->getId()]);

        return [] === $numbers ? [] : $this->findBy(['id' => $numbers], ['readyAt' => 'ASC']);
    }

    public function runningFor(Job $job, WaitKind $kind): ?Wait
    {
        return $this->findOneBy(['job' => $job, 'kind' => $kind, 'endedAt' => null], ['id' => 'DESC']);
    }
}
