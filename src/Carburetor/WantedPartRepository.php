<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<WantedPart> */
final class WantedPartRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, WantedPart::class);
    }

    /** @return list<WantedPart> of one job, in the order they were written down, without the dropped */
    public function ofJob(Job $job): array
    {
        return array_values(array_filter($this->findBy(['job' => $job], ['id' => 'ASC']), static fn (WantedPart $part): bool => WantedState::Dropped !== $part->getState()));
    }

    /** @return list<WantedPart> of the jobs in the shed, what is to be ordered first, with their machines */
    public function open(): array
    {
        // From the machines that are here: of all parts ever wanted most are of machines that went home.
        $numbers = $this->getEntityManager()->getConnection()->fetchFirstColumn('SELECT STRAIGHT_JOIN part.id FROM job FORCE INDEX (shed_due) JOIN wanted_part part ON part.job_id = job.id WHERE job.shop_id = @shop AND job.gone = 0 AND part.state <> ?', [WantedState::Dropped->value]);
        /** @var list<WantedPart> $parts */
        $parts = [] === $numbers ? [] : $this->createQueryBuilder('part')
            ->addSelect('job', 'machine', 'person')
            ->innerJoin('part.job', 'job')
            ->innerJoin('job.machine', 'machine')
            ->innerJoin('part.by', 'person')
            ->where('part.id IN (:numbers)')->setParameter('numbers', $numbers)
            ->orderBy('part.state', 'DESC')->addOrderBy('part.id')
            ->getQuery()->getResult();

        return $parts;
    }

    /**
     * @param list<int> $jobs numbers
     *
     * @return array<int, int> job => how many parts it waits for, only where it waits for any
     */
    public function waitedFor(array $jobs): array
    {
        $states = array_filter(WantedState::cases(), static fn (WantedState $state): bool => $state->isWaitedFor());
        /** @var array<int, int> $parts */
        $parts = [] === $jobs ? [] : $this->getEntityManager()->getConnection()->fetchAllKeyValue(
            'SELECT job_id, COUNT(*) FROM wanted_part WHERE job_id IN (?) AND shop_id = @shop AND state IN (?) GROUP BY job_id',
            [$jobs, array_column($states, 'value')],
            [ArrayParameterType::INTEGER, ArrayParameterType::STRING],
        );

        return $parts;
    }
}
