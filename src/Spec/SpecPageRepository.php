<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\Query;
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

    /** @return list<SpecPage> as they stand now, held until the transaction ends */
    public function byNameLocked(): array
    {
        /** @var list<SpecPage> $pages */
        $pages = $this->createQueryBuilder('page')->orderBy('page.name')->getQuery()
            ->setHint(Query::HINT_REFRESH, true)->setLockMode(LockMode::PESSIMISTIC_WRITE)->getResult();

        return $pages;
    }

    public function named(string $name): ?SpecPage
    {
        return $this->findOneBy(['name' => trim($name)]);
    }
}
