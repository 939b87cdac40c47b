<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Schedule\Day\Piece;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;

/** Reads the jobs of a plan off plain rows: objects of the ORM cost its page a tenth of its time (bin/bench). */
final readonly class PlannedJobs
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param list<int> $numbers
     *
     * @return array<string, PlannedJob> by the name they have in a plan; without those that went home since
     */
    public function numbered(array $numbers): array
    {
        /** @var list<array{id: int, label: string, owner_name: string, owner_contact: string, wanted_by: string|null, stand: string, work_left: string}> $rows */
        $rows = $this->database->fetchAllAssociative(
            'SELECT job.id, machine.label, machine.owner_name, machine.owner_contact, job.wanted_by, job.stand, job.work_left
             FROM job JOIN machine ON machine.id = job.machine_id WHERE job.shop_id = @shop AND job.id IN (?) AND job.gone = 0',
            [$numbers],
            [ArrayParameterType::INTEGER],
        );
        $jobs = [];
        foreach ($rows as $row) {
            /** @var list<array{kind: string, minutes: int, likely: bool}> $left */
            $left = json_decode($row['work_left'], true, flags: \JSON_THROW_ON_ERROR);
            $jobs['j'.$row['id']] = new PlannedJob(
                $row['id'],
                $row['label'],
                $row['owner_name'],
                $row['owner_contact'],
                null === $row['wanted_by'] ? null : new \DateTimeImmutable($row['wanted_by']),
                Progress::from($row['stand']),
                array_column(array_map(Piece::fromArray(...), $left), null, 'kind'),
            );
        }

        return $jobs;
    }
}
