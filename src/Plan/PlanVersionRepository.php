<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<PlanVersion> */
final class PlanVersionRepository extends ServiceEntityRepository
{
    /** Versions that are kept: some days of a busy shop. */
    private const KEPT = 100;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, PlanVersion::class);
    }

    public function last(): ?PlanVersion
    {
        return $this->findOneBy([], ['id' => 'DESC']);
    }

    /** Adds one and lets go of those too old to matter. */
    public function keep(PlanVersion $version): void
    {
        $entities = $this->getEntityManager();
        $entities->persist($version);
        $entities->flush();
        $entities->createQuery('DELETE FROM '.PlanVersion::class.' version WHERE version.id <= :last')->execute(['last' => $version->getId() - self::KEPT]);
    }
}
