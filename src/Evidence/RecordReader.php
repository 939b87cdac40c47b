<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Fuel\JarSample;
use Doctrine\DBAL\Connection;

/**
 * Reads what was recorded, off plain rows: as objects of the ORM, a job of four hundred findings took most of a page's
 * time (bin/bench).
 *
 * @phpstan-import-type Packed from Entry
 * @phpstan-import-type PackedEvent from Entry
 *
 * @phpstan-type Row array{id: int, by_name: string, by_sign_in: string, at: string, kind: string, source: string, target_id: int|null, struck: int, sample: string|null,
 *     jar: string|null, rewritten: string|null, worked: string|null, done: string|null, strip: string|null, as_typed: string, finding: int|null,
 *     test: string|null, outcomes: string, number: float|int|null, put_right: string|null, measured: string, extras: string}
 */
final readonly class RecordReader
{
    private const ROWS = <<<'SQL'
        SELECT entry.id, member.name AS by_name, member.sign_in_name AS by_sign_in, entry.at, entry.kind, entry.source, entry.target_id, entry.struck, entry.sample,
            entry.jar, entry.rewritten, entry.worked, entry.done, entry.strip, entry.as_typed,
            finding.id AS finding, finding.test, finding.outcomes, finding.number, finding.put_right, finding.measured, finding.extras
        FROM entry INNER JOIN member ON member.id = entry.by_id LEFT JOIN recorded_finding finding ON finding.entry_id = entry.id
        WHERE entry.job_id = ? ORDER BY entry.id, finding.id
        SQL;

    /** Of what others recorded; the page is opened for the rest. */
    private const MOST_NEWS = 5;

    public function __construct(private Connection $connection, private JobRepository $jobs, private Carburetors $carburetors)
    {
    }

    /** All entries of a job as the database has them now, oldest first. */
    public function ofJob(Job $job): Record
    {
        /** @var list<Row> $rows */
        $rows = $this->connection->fetchAllAssociative(self::ROWS, [$job->getId()]);
        $findings = [];
        foreach ($rows as $row) {
            if (null !== $row['finding']) {
                $findings[$row['id']][] = $row;
            }
        }

        $entries = [];
        foreach (array_column($rows, null, 'id') as $id => $row) {
            $entries[$id] = new Entry(
                $id,
                $job,
                new Author($row['by_name'], $row['by_sign_in']),
                new \DateTimeImmutable($row['at']),
                EntryKind::from($row['kind']),
                Source::from($row['source']),
                $entries[$row['target_id'] ?? 0] ?? null,
                1 === $row['struck'],
                JarSample::tryFrom($row['sample'] ?? ''),
                $row,
                $findings[$id] ?? [],
            );
        }

        return new Record($job, array_values($entries), $this->carburetors);
    }

    public function find(int $id): ?Entry
    {
        $job = $this->connection->fetchOne('SELECT job_id FROM entry WHERE id = ?', [$id]);
        $job = \is_int($job) ? $this->jobs->withMachine($job) : null;

        return null === $job ? null : $this->ofJob($job)->entry($id);
    }

    /** @return list<Entry> of a job, by others than this person, after the entry with that number; a few, oldest first */
    public function ofOthersSince(Job $job, int $since, Member $member): array
    {
        // Asked every few seconds and seldom answered: the whole record is read only then.
        $news = $this->connection->fetchFirstColumn('SELECT id FROM entry WHERE job_id = ? AND id > ? AND by_id <> ? ORDER BY id LIMIT '.self::MOST_NEWS, [$job->getId(), $since, $member->getId()]);
        $record = [] === $news ? null : $this->ofJob($job);

        return null === $record ? [] : array_values(array_filter($record->entries, static fn (Entry $entry): bool => \in_array($entry->id, $news, true)));
    }

    /** Writes down what an entry's later ones make of it. */
    public function strike(int $id, bool $struck): void
    {
        $this->connection->update('entry', ['struck' => (int) $struck], ['id' => $id]);
    }
}
