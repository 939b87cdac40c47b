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
    /** Not taken back, nor the step it came from. */
    private const COUNTS = 'portion.takenBackAt IS NULL AND (entry.id IS NULL OR entry.struck = false)';

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, WastePortion::class);
    }

    /** @return list<WastePortion> what counts of one job, oldest first, with who poured it */
    public function ofJob(Job $job): array
    {
        /** @var list<WastePortion> $portions */
        $portions = $this->createQueryBuilder('portion')
            ->addSelect('person', 'can')
            ->innerJoin('portion.by', 'person')
            ->leftJoin('portion.can', 'can')
            ->where('portion.job = :job AND '.self::COUNTS)->setParameter('job', $job)
            ->leftJoin('portion.entry', 'entry')
            ->orderBy('portion.id')
            ->getQuery()->getResult();

        return $portions;
    }

    /** @return array<int, float> by can, what was put into it since it was last emptied, mL */
    public function heldByCan(): array
    {
        /** @var list<array{can: int|string, held: float|string}> $rows */
        $rows = $this->createQueryBuilder('portion')
            ->select('vessel.id AS can', 'SUM(portion.millilitres) AS held')
            ->innerJoin('portion.can', 'vessel')
            ->where(self::COUNTS.' AND (vessel.emptiedAt IS NULL OR portion.at > vessel.emptiedAt)')
            ->leftJoin('portion.entry', 'entry')
            ->groupBy('vessel.id')
            ->getQuery()->getResult();

        $held = [];
        foreach ($rows as ['can' => $can, 'held' => $millilitres]) {
            $held[(int) $can] = (float) $millilitres;
        }

        return $held;
    }

    /** @return list<WastePortion> all that counts, oldest first, with job, machine, can and who poured it */
    public function ledger(): array
    {
        /** @var list<WastePortion> $portions */
        $portions = $this->createQueryBuilder('portion')
            ->addSelect('person', 'job', 'machine', 'can')
            ->innerJoin('portion.by', 'person')
            ->innerJoin('portion.job', 'job')
            ->innerJoin('job.machine', 'machine')
            ->leftJoin('portion.can', 'can')
            ->where(self::COUNTS)
            ->leftJoin('portion.entry', 'entry')
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
            ->where(self::COUNTS)
            ->leftJoin('portion.entry', 'entry')
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
