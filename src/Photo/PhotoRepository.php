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

    /** @return list<PhotoLine> the same, as a page shows them */
    public function linesOf(Job $job): array
    {
        /** @var list<array{id: int, gate: string|null, caption: string, sign_in_name: string}> $rows */
        $rows = $this->getEntityManager()->getConnection()->fetchAllAssociative(
            'SELECT photo.id, photo.gate, photo.caption, person.sign_in_name FROM photo JOIN member person ON person.id = photo.by_id WHERE photo.job_id = ? AND photo.shop_id = @shop AND photo.removed_at IS NULL ORDER BY photo.id',
            [$job->getId()],
        );

        return array_map(static fn (array $row): PhotoLine => new PhotoLine($row['id'], $row['gate'], $row['caption'], $row['sign_in_name']), $rows);
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
