<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Once\Turns;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\Query;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<SpecPage> */
final class SpecPageRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry, private readonly Turns $turns, private readonly CurrentShop $shop)
    {
        parent::__construct($registry, SpecPage::class);
    }

    /** @return list<SpecPage> */
    public function byName(): array
    {
        return $this->findBy([], ['name' => 'ASC']);
    }

    /** The pages are written as one book: whoever does waits for their turn at all of them. */
    public function holdBook(): void
    {
        $this->turns->hold('spec book of '.$this->shop->id());
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
