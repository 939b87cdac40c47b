<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use Doctrine\DBAL\Connection;

/** What this shop last paid, and how its ways with a carburetor turned out: what the comparison of the ways is begun with. */
final readonly class ShopRepairs
{
    /** The step whose choices are the ways, in order: a later other one means that the one before did not do. */
    private const WAY = 'decide.way';

    /** So many jobs back, and entries back, the shop's past goes; older prices and hands say less. */
    private const JOBS = 400;
    private const ENTRIES = 20_000;

    public function __construct(private Connection $connection)
    {
    }

    /** @return array<string, string> inputs of the calculation "repair", as they are typed */
    public function given(): array
    {
        return array_map(strval(...), $this->counts() + $this->prices());
    }

    /** @return array<string, int> */
    private function counts(): array
    {
        /** @var list<array{job: int, way: string}> $rows */
        $rows = $this->connection->fetchAllAssociative(\sprintf(<<<'SQL'
            SELECT entry.job_id AS job, JSON_VALUE(entry.done, '$.choice') AS way
            FROM (SELECT id FROM job WHERE handed_back_at IS NOT NULL ORDER BY handed_back_at DESC LIMIT %d) home
            INNER JOIN entry ON entry.job_id = home.id
            WHERE entry.struck = 0 AND entry.kind <> 'withdrawal' AND JSON_VALUE(entry.done, '$.step') = ?
            ORDER BY entry.job_id, entry.id
            SQL, self::JOBS), [self::WAY]);
        $counts = [];
        foreach ($rows as $place => ['job' => $job, 'way' => $way]) {
            $next = $rows[$place + 1] ?? null;
            $isLast = null === $next || $next['job'] !== $job;
            if ($isLast || $next['way'] !== $way) {
                $input = $way.($isLast ? '_worked' : '_failed');
                $counts[$input] = ($counts[$input] ?? 0) + 1;
            }
        }

        return $counts;
    }

    /** @return array<string, float|int|string> of the last comparison that was put into a record */
    private function prices(): array
    {
        $last = $this->connection->fetchOne(\sprintf(<<<'SQL'
            SELECT JSON_EXTRACT(worked, '$.in') FROM entry
            WHERE struck = 0 AND id > (SELECT MAX(id) FROM entry) - %d AND JSON_VALUE(worked, '$.calculation') = 'repair'
            ORDER BY id DESC LIMIT 1
            SQL, self::ENTRIES));
        $in = \is_string($last) ? json_decode($last, true, flags: \JSON_THROW_ON_ERROR) : [];
        $prices = [];
        foreach (\is_array($in) ? $in : [] as $input => $value) {
            // What was true of that machine, or counted then, is not true of this one.
            if (\is_string($input) && (\is_float($value) || \is_int($value)) && 1 !== preg_match('/_worked$|_failed$|^machine_/', $input)) {
                $prices[$input] = $value;
            }
        }

        return $prices;
    }
}
