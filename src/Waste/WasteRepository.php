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
    /** Not taken back, nor the step it came from; of "poured" beside its entry. */
    private const POURED = 'poured.shop_id = @shop AND poured.taken_back_at IS NULL AND COALESCE(entry.struck, 0) = 0';

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, WastePortion::class);
    }

    /** @return list<PouredLine> what counts of one job, oldest first */
    public function ofJob(Job $job): array
    {
        /** @var list<array{id: int, stream: string, millilitres: float, can: string|null, person: string, sign_in_name: string, at: string}> $rows */
        $rows = $this->getEntityManager()->getConnection()->fetchAllAssociative(
            'SELECT poured.id, poured.stream, poured.millilitres, can.name AS can, person.name AS person, person.sign_in_name, poured.at
             FROM waste_portion poured LEFT JOIN entry ON entry.id = poured.entry_id LEFT JOIN waste_can can ON can.id = poured.can_id JOIN member person ON person.id = poured.by_id
             WHERE poured.job_id = ? AND '.self::POURED.' ORDER BY poured.id',
            [$job->getId()],
        );

        return array_map(static fn (array $row): PouredLine => new PouredLine($row['id'], WasteStream::from($row['stream']), Volume::millilitres($row['millilitres']), $row['can'], $row['person'], $row['sign_in_name'], new \DateTimeImmutable($row['at'])), $rows);
    }

    /**
     * @param list<WasteCan> $cans
     *
     * @return array<int, float> by can, what was put into it since it was last emptied, mL
     */
    public function heldByCan(array $cans): array
    {
        $each = $values = [];
        foreach ($cans as $can) {
            // One by one: only so its index begins where it was emptied, and not where it was put up.
            $each[] = 'SELECT ?, SUM(poured.millilitres) FROM waste_portion poured FORCE INDEX (portion_in_can) LEFT JOIN entry ON entry.id = poured.entry_id WHERE poured.can_id = ? AND poured.at > ? AND '.self::POURED;
            array_push($values, $can->getId(), $can->getId(), $can->getEmptiedAt()?->format('Y-m-d H:i:s') ?? '1000-01-01');
        }
        /** @var array<int, float|int|null> $held */
        $held = [] === $each ? [] : $this->getEntityManager()->getConnection()->fetchAllKeyValue(implode(' UNION ALL ', $each), $values);

        return array_map(floatval(...), $held);
    }

    /** @return iterable<array{at: string, job: int, machine: string, stream: string, can: string|null, ml: float, person: string}> all that counts, oldest first, its moments by ISO 8601, one at a time in memory */
    public function ledger(): iterable
    {
        /** @var array{at: string, job: int, machine: string, stream: string, can: string|null, ml: float, person: string} $poured */
        foreach ($this->getEntityManager()->getConnection()->iterateAssociative(
            'SELECT STRAIGHT_JOIN poured.at, poured.job_id AS job, machine.label AS machine, poured.stream, can.name AS can, poured.millilitres AS ml, person.name AS person
             FROM waste_portion poured LEFT JOIN entry ON entry.id = poured.entry_id LEFT JOIN waste_can can ON can.id = poured.can_id
                 JOIN job ON job.id = poured.job_id JOIN machine ON machine.id = job.machine_id JOIN member person ON person.id = poured.by_id
             WHERE '.self::POURED.' ORDER BY poured.id',
        ) as $poured) {
            yield ['at' => (new \DateTimeImmutable($poured['at']))->format(\DATE_ATOM)] + $poured;
        }
    }

    /** @return array<string, Volume> what the whole shed has poured away, by stream; every stream is there */
    public function totals(): array
    {
        /** @var array<string, string> $kept */
        $kept = $this->getEntityManager()->getConnection()->fetchAllKeyValue('SELECT stream, SUM(millilitres) FROM waste_total WHERE shop_id = @shop GROUP BY stream');
        $totals = [];
        foreach (WasteStream::cases() as $stream) {
            $totals[$stream->value] = Volume::millilitres((float) ($kept[$stream->value] ?? 0));
        }

        return $totals;
    }
}
