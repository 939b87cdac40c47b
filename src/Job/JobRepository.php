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
            $query->where('job.handedBackAt IS NULL');
        }
        /** @var iterable<Job> $jobs */
        $jobs = $query->getQuery()->toIterable();

        return $jobs;
    }
}
