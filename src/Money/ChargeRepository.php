<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Job\Job;
use AwakeShed\Core\Money\LineKind;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Charge> */
final class ChargeRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Charge::class);
    }

    /** @return array{clocked: float, reckoned: float, jobs: int} hours of the jobs that went home with labor by the clock on them */
    public function clocked(): array
    {
        $row = $this->getEntityManager()->getConnection()->fetchAssociative(
            'SELECT COALESCE(SUM(one.hours), 0) AS clocked, COALESCE(SUM(one.minutes), 0) / 60 AS reckoned, COUNT(*) AS jobs FROM ('
            .'SELECT SUM(charge.quantity) AS hours, MAX(job.work_minutes) AS minutes FROM charge INNER JOIN job ON job.id = charge.job_id'
            .' WHERE charge.shop_id = @shop AND charge.kind = :labor AND charge.taken_back_at IS NULL AND job.handed_back_at IS NOT NULL GROUP BY job.id) AS one',
            ['labor' => LineKind::Labor->value],
        );
        $number = static fn (string $key): float => \is_array($row) && is_numeric($row[$key] ?? null) ? (float) $row[$key] : 0.0;

        return ['clocked' => $number('clocked'), 'reckoned' => $number('reckoned'), 'jobs' => (int) $number('jobs')];
    }

    /** @return list<Charge> that count, as they were written down */
    public function ofJob(Job $job): array
    {
        /** @var list<Charge> $charges */
        $charges = $this->findBy(['job' => $job, 'takenBackAt' => null], ['id' => 'ASC']);

        return $charges;
    }
}
