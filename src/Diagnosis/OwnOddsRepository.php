<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<OwnOdds> */
final class OwnOddsRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, OwnOdds::class);
    }

    /** @return array<string, OwnOdds> by path */
    public function byPath(): array
    {
        $byPath = [];
        foreach ($this->findBy([], ['path' => 'ASC']) as $own) {
            $byPath[$own->getPath()] = $own;
        }

        return $byPath;
    }
}
