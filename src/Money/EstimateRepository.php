<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Estimate> */
final class EstimateRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Estimate::class);
    }

    /** Who answered is nobody any more. */
    public function forget(Job $job): void
    {
        foreach ($this->ofJob($job) as $estimate) {
            $estimate->forget();
        }
    }

    /** @return list<Estimate> oldest first */
    public function ofJob(Job $job): array
    {
        /** @var list<Estimate> $estimates */
        $estimates = $this->createQueryBuilder('estimate')->addSelect('person')->innerJoin('estimate.by', 'person')
            ->where('estimate.job = :job')->setParameter('job', $job)->orderBy('estimate.id')->getQuery()->getResult();

        return $estimates;
    }
}
