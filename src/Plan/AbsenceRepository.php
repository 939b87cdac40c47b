<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Absence> */
final class AbsenceRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Absence::class);
    }

    /** @return list<Absence> that are not over, the next first */
    public function since(\DateTimeImmutable $day): array
    {
        /** @var list<Absence> */
        return $this->createQueryBuilder('absence')->leftJoin('absence.member', 'person')->addSelect('person')
            ->where('absence.lastDay >= :day')->setParameter('day', $day->format('Y-m-d'))->orderBy('absence.firstDay')->addOrderBy('absence.id')
            ->getQuery()->getResult();
    }
}
