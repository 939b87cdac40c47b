<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Job> */
final class JobRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Job::class);
    }

    /** The job with its machine and the person who took it in, in one query. */
    public function withMachine(int $id): ?Job
    {
        /** @var Job|null $job */
        $job = $this->createQueryBuilder('job')
            ->addSelect('machine', 'person', 'spec')
            ->innerJoin('job.machine', 'machine')
            ->leftJoin('machine.spec', 'spec')
            ->innerJoin('job.takenInBy', 'person')
            ->where('job.id = :id')->setParameter('id', $id)
            ->getQuery()->getOneOrNullResult();

        return $job;
    }

    /**
     * @param bool $onlyOpen without those that went home
     *
     * @return iterable<Job> every job, a few hundred at a time in memory
     */
    public function all(bool $onlyOpen = false): iterable
    {
        $query = $this->createQueryBuilder('job')->addSelect('machine')->innerJoin('job.machine', 'machine')->orderBy('job.id');
        if ($onlyOpen) {
            $query->where('job.gone = false');
        }
        /** @var iterable<Job> $jobs */
        $jobs = $query->getQuery()->toIterable();

        return $jobs;
    }

    /** @return list<Job> open ones, those wanted first first; with their machines */
    public function toPlan(int $most): array
    {
        /** @var list<Job> */
        return $this->createQueryBuilder('job')->join('job.machine', 'machine')->addSelect('machine')
            ->where('job.gone = false')->orderBy('job.due')->addOrderBy('job.id')->setMaxResults($most)->getQuery()->getResult();
    }

    /**
     * @param list<int> $numbers
     *
     * @return list<Job> with their machines
     */
    public function numbered(array $numbers): array
    {
        /** @var list<Job> */
        return [] === $numbers ? [] : $this->createQueryBuilder('job')->join('job.machine', 'machine')->addSelect('machine')
            ->where('job.id IN (:numbers)')->setParameter('numbers', $numbers)->getQuery()->getResult();
    }

    /** @return array<string, int> machines that were taken in, by the Monday of their week, since a Monday */
    public function takenInByWeek(\DateTimeImmutable $since): array
    {
        /** @var array<string, int|string> $counts */
        $counts = $this->getEntityManager()->getConnection()->fetchAllKeyValue('SELECT week, SUM(machines) FROM intake_count WHERE shop_id = @shop AND week >= ? GROUP BY week HAVING SUM(machines) > 0', [$since->format('Y-m-d')]);

        return array_map(static fn (int|string $count): int => (int) $count, $counts);
    }

    /** @return array<string, int> by kind of machine, the most first, taken in from the week on that begins with or after a day */
    public function kindsSince(\DateTimeImmutable $since): array
    {
        /** @var array<string, int|string> $counts */
        $counts = $this->getEntityManager()->getConnection()->fetchAllKeyValue('SELECT kind, SUM(machines) FROM intake_count WHERE shop_id = @shop AND week >= ? GROUP BY kind HAVING SUM(machines) > 0 ORDER BY 2 DESC, 1', [$since->format('Y-m-d')]);

        return array_map(static fn (int|string $count): int => (int) $count, $counts);
    }
}
