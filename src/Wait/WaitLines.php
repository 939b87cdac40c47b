<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use Doctrine\DBAL\Connection;

/** Reads what is under way off plain rows: every page asks, and the ORM costs it a tenth of its time (bin/bench). */
final readonly class WaitLines
{
    /** More than a bench can have under way; a bar of a hundred would tell nobody anything. */
    public const MOST = 12;

    /** What a shop waits for: nobody has come back to it, and the step it belongs to is not taken back. */
    public const UNDER_WAY = 'wait LEFT JOIN entry ON entry.id = wait.entry_id WHERE wait.shop_id = @shop AND wait.ended_at IS NULL AND (entry.id IS NULL OR entry.struck = 0)';

    public function __construct(private Connection $database)
    {
    }

    /** @return list<WaitLine> first ready first */
    public function underWay(): array
    {
        /** @var list<array{job_id: int, kind: string, ready_at: string}> $rows */
        $rows = $this->database->fetchAllAssociative(
            'SELECT wait.job_id, wait.kind, wait.ready_at FROM '.self::UNDER_WAY.' ORDER BY wait.ready_at LIMIT '.self::MOST,
        );

        return array_map(static fn (array $row): WaitLine => new WaitLine($row['job_id'], WaitKind::from($row['kind']), new \DateTimeImmutable($row['ready_at'])), $rows);
    }
}
