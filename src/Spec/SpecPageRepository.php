<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<SpecPage> */
final class SpecPageRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, SpecPage::class);
    }

    /** @return list<SpecPage> */
    public function byName(): array
    {
        return $this->findBy([], ['name' => 'ASC']);
    }

    public function named(string $name): ?SpecPage
    {
        return $this->findOneBy(['name' => trim($name)]);
    }
}
