<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Content\ContentKind;
use AwakeShed\App\Evidence\Content\Rewritten;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Carburetor\Benches;
use AwakeShed\Core\Evidence\EventFormat;
use AwakeShed\Core\Stage\StagePlan;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Types\Types;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

/**
 * Reads what was recorded, off plain rows: as objects of the ORM, a job of four hundred findings took most of a page's
 * time (bin/bench). What asks the table of entries anything asks here.
 *
 * @phpstan-type Row array{id: int, by_name: string, by_sign_in: string, at: string, kind: string, source: string, target_id: int|null, struck: int, content_kind: string, content: string}
 */
final readonly class RecordReader
{
    /** In this order of tables, by this index: read otherwise, the entries are put into a table of their own and sorted. */
    public const ROWS = <<<'SQL'
        SELECT STRAIGHT_JOIN entry.id, member.name AS by_name, member.sign_in_name AS by_sign_in, entry.at, entry.kind, entry.source, entry.target_id, entry.struck, entry.content_kind, entry.content
        FROM entry FORCE INDEX (entry_of_job) INNER JOIN member FORCE INDEX (PRIMARY) ON member.id = entry.by_id
        WHERE entry.job_id = ? ORDER BY entry.id
        SQL;

    /** Of what others recorded; the page is opened for the rest. */
    private const MOST_NEWS = 5;

    /** So far back a shop looks into its past: older hands and prices say less. */
    private const PAST_JOBS = 400;
    private const PAST_ENTRIES = 20_000;

    /** @param \Closure(): Benches $benches */
    public function __construct(
        private Connection $connection,
        private JobRepository $jobs,
        #[AutowireServiceClosure(Benches::class)]
        private \Closure $benches,
        private EventFormat $format,
        private StagePlan $plan,
    ) {
    }

    /** All entries of a job as the database has them now, oldest first. */
    public function ofJob(Job $job): Record
    {
        /** @var list<Row> $rows */
        $rows = $this->connection->fetchAllAssociative(self::ROWS, [$job->getId()]);
        $entries = [];
        foreach ($rows as $row) {
            $entries[$row['id']] = new Entry(
                $row['id'],
                $job,
                new Author($row['by_name'], $row['by_sign_in']),
                new \DateTimeImmutable($row['at']),
                EntryKind::from($row['kind']),
                Source::from($row['source']),
                $entries[$row['target_id'] ?? 0] ?? null,
                1 === $row['struck'],
                ContentKind::from($row['content_kind']),
                $row['content'],
                $this->format,
            );
        }

        return new Record($job, array_values($entries), $this->benches, $this->plan);
    }

    /** @return list<Job> in the shed at whose carburetor something was done, the latest first */
    public function jobsAtTheBench(int $most): array
    {
        /** @var list<Job> $jobs */
        $jobs = $this->jobs->createQueryBuilder('job')
            ->addSelect('machine')
            ->innerJoin('job.machine', 'machine')
            ->where('job.gone = false AND EXISTS (SELECT entry.id FROM '.NewEntry::class.' entry WHERE entry.job = job AND entry.contentKind = :move)')->setParameter('move', ContentKind::BenchMove)
            ->orderBy('job.id', 'DESC')->setMaxResults($most)
            ->getQuery()->getResult();

        return $jobs;
    }

    public function find(int $id): ?Entry
    {
        $job = $this->connection->fetchOne('SELECT job_id FROM entry WHERE id = ? AND shop_id = @shop', [$id]);
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

    /** @return list<array{job: int, choice: string}> what was chosen at a step on the machines that went home last, by machine and in order */
    public function choicesOfMachinesGone(string $step): array
    {
        /** @var list<array{job: int, choice: string}> $rows */
        $rows = $this->connection->fetchAllAssociative(\sprintf(<<<'SQL'
            SELECT entry.job_id AS job, JSON_VALUE(entry.content, '$.choice') AS choice
            FROM (SELECT id FROM job WHERE shop_id = @shop AND handed_back_at IS NOT NULL ORDER BY handed_back_at DESC LIMIT %d) home
            INNER JOIN entry ON entry.job_id = home.id
            WHERE entry.struck = 0 AND entry.kind <> 'withdrawal' AND entry.content_kind = 'step' AND JSON_VALUE(entry.content, '$.step') = ?
            ORDER BY entry.job_id, entry.id
            SQL, self::PAST_JOBS), [$step]);

        return $rows;
    }

    /** @return array<mixed> what a calculation was told the last time it was put into a record; empty when it never was of late */
    public function lastWorkedOut(string $calculation): array
    {
        $last = $this->connection->fetchOne(\sprintf(<<<'SQL'
            SELECT JSON_EXTRACT(content, '$.worked.in') FROM entry
            WHERE shop_id = @shop AND struck = 0 AND id > (SELECT MAX(id) FROM entry) - %d AND content_kind = 'observed' AND JSON_VALUE(content, '$.worked.calculation') = ?
            ORDER BY id DESC LIMIT 1
            SQL, self::PAST_ENTRIES), [$calculation]);
        $in = \is_string($last) ? json_decode($last, true, flags: \JSON_THROW_ON_ERROR) : [];

        return \is_array($in) ? $in : [];
    }

    /**
     * Writes over what was rewritten on a job's sheet: the one thing in a record that can be erased, because it may be personal.
     *
     * @param \Closure(Rewritten): Rewritten $erase
     */
    public function eraseRewritten(Job $job, \Closure $erase): void
    {
        foreach ($this->ofJob($job)->entries as $entry) {
            $content = $entry->content();
            if ($content instanceof Rewritten) {
                $this->connection->update('entry', ['content' => $erase($content)->toArray()], ['id' => $entry->id], ['content' => Types::JSON]);
            }
        }
    }

    /** Writes down what an entry's later ones make of it. */
    public function strike(int $id, bool $struck): void
    {
        $this->connection->update('entry', ['struck' => (int) $struck], ['id' => $id]);
    }
}
