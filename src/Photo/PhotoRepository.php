<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Photo> */
final class PhotoRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Photo::class);
    }

    /** @return list<Photo> of a job, oldest first, without the removed */
    public function ofJob(Job $job): array
    {
        return $this->findBy(['job' => $job, 'removedAt' => null], ['id' => 'ASC']);
    }

    /** @return array<string, list<array{id: int}>> of a job, without the removed, oldest first, by the gate they were taken at; read off plain rows, of which a page wants no more than the number */
    public function byGate(Job $job): array
    {
        /** @var list<array{id: int, gate: string}> $rows */
        $rows = $this->getEntityManager()->getConnection()->fetchAllAssociative('SELECT id, gate FROM photo WHERE job_id = ? AND shop_id = @shop AND removed_at IS NULL AND gate IS NOT NULL ORDER BY id', [$job->getId()]);
        $byGate = [];
        foreach ($rows as $row) {
            $byGate[$row['gate']][] = ['id' => $row['id']];
        }

        return $byGate;
    }

    /** @return iterable<string, Photo> every photo there is, removed ones too, by the name of its file */
    public function byFile(): iterable
    {
        /** @var Photo $photo */
        foreach ($this->createQueryBuilder('photo')->getQuery()->toIterable() as $photo) {
            yield $photo->getFile() => $photo;
        }
    }
}
