<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Doctrine\DBAL\Connection;

/** Reads off plain rows what the plan's pages show beside the plan: objects of the ORM cost them a tenth of their time (bin/bench). */
final readonly class Shown
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array<int, Hand> everybody, by number, those at work first, by their names */
    public function hands(): array
    {
        /** @var list<array{id: int, name: string, active: int}> $rows */
        $rows = $this->database->fetchAllAssociative('SELECT id, name, active FROM member WHERE shop_id = @shop ORDER BY active DESC, name');

        return array_column(array_map(static fn (array $row): Hand => new Hand($row['id'], $row['name'], 1 === $row['active']), $rows), null, 'id');
    }

    /** @return array<string, OpenMark> by piece of work, as a plan names it */
    public function marks(): array
    {
        /** @var list<array{job_id: int, kind: string, hands_id: int|null, pinned_at: string|null, started_at: string|null, reason: string}> $rows */
        $rows = $this->database->fetchAllAssociative(
            'SELECT mark.job_id, mark.kind, mark.hands_id, mark.pinned_at, mark.started_at, mark.reason FROM plan_mark mark JOIN job ON job.id = mark.job_id
             WHERE mark.shop_id = @shop AND mark.done_at IS NULL AND job.gone = 0 ORDER BY mark.id',
        );
        $marks = [];
        foreach ($rows as $row) {
            $marks['j'.$row['job_id'].'.'.$row['kind']] = new OpenMark($row['hands_id'], null !== $row['pinned_at'], null !== $row['started_at'], $row['reason']);
        }

        return $marks;
    }
}
