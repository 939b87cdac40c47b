<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Charge> */
final class ChargeRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Charge::class);
    }

    /** @return list<Charge> that count, as they were written down */
    public function ofJob(Job $job): array
    {
        /** @var list<Charge> $charges */
        $charges = $this->findBy(['job' => $job, 'takenBackAt' => null], ['id' => 'ASC']);

        return $charges;
    }
}
