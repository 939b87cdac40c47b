<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<WasteCan> */
final class WasteCanRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, WasteCan::class);
    }

    /** @return list<WasteCan> */
    public function byStream(): array
    {
        return $this->findBy([], ['stream' => 'ASC', 'id' => 'ASC']);
    }
}
