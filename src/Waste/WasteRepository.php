<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Job\Job;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Volume;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<WastePortion> */
final class WasteRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, WastePortion::class);
    }

    /** @return list<WastePortion> what counts of one job, oldest first, with who poured it */
    public function ofJob(Job $job): array
    {
        /** @var list<WastePortion> $portions */
        $portions = $this->createQueryBuilder('portion')
            ->addSelect('person')
            ->innerJoin('portion.by', 'person')
            ->where('portion.job = :job AND portion.takenBackAt IS NULL')->setParameter('job', $job)
            ->orderBy('portion.id')
            ->getQuery()->getResult();

        return $portions;
    }

    /** @return array<string, Volume> what the whole shed has poured away, by stream; every stream is there */
    public function totals(): array
    {
        /** @var list<array{stream: WasteStream, total: float|string}> $rows */
        $rows = $this->createQueryBuilder('portion')
            ->select('portion.stream AS stream', 'SUM(portion.millilitres) AS total')
            ->where('portion.takenBackAt IS NULL')
            ->groupBy('portion.stream')
            ->getQuery()->getResult();
        $totals = [];
        foreach (WasteStream::cases() as $stream) {
            $totals[$stream->value] = Volume::zero();
        }
        foreach ($rows as $row) {
            $totals[$row['stream']->value] = Volume::millilitres((float) $row['total']);
        }

        return $totals;
    }
}
