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

    /** @return iterable<string, Photo> every photo there is, removed ones too, by the name of its file */
    public function byFile(): iterable
    {
        /** @var Photo $photo */
        foreach ($this->createQueryBuilder('photo')->getQuery()->toIterable() as $photo) {
            yield $photo->getFile() => $photo;
        }
    }
}
