<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\Query;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<SpecPage> */
final class SpecPageRepository extends ServiceEntityRepository
{
    /** The turn at the pages, which are written as one book. */
    public const BOOK = 'spec book';

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, SpecPage::class);
    }

    /** @return list<SpecPage> */
    public function byName(): array
    {
        return $this->findBy([], ['name' => 'ASC']);
    }

    /** @return list<SpecPage> as they stand now, whatever was read before */
    public function byNameAnew(): array
    {
        /** @var list<SpecPage> $pages */
        $pages = $this->createQueryBuilder('page')->orderBy('page.name')->getQuery()->setHint(Query::HINT_REFRESH, true)->getResult();

        return $pages;
    }

    public function named(string $name): ?SpecPage
    {
        return $this->findOneBy(['name' => trim($name)]);
    }
}
