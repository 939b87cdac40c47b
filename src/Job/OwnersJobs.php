<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Evidence\NewEntry;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\EntityManagerInterface;

/** Whose machines the jobs are about: found by name, and made nobody's. */
final readonly class OwnersJobs
{
    private const NOBODY = 'Erased';
    private const MOST_NAMES = 30;

    /** On a job's sheet, and so in what its history says was rewritten ({@see JobSheet}). */
    private const PERSONAL = ['owner', 'contact', 'remarks'];

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @return list<Job> of one owner, by the exact name, oldest first */
    public function of(string $name): array
    {
        /** @var list<Job> $jobs */
        $jobs = $this->entities->createQueryBuilder()->select('job', 'machine')->from(Job::class, 'job')
            ->innerJoin('job.machine', 'machine')->where('machine.ownerName = :name')->setParameter('name', $name)->orderBy('job.id')
            ->getQuery()->getResult();

        return $jobs;
    }

    /** @return list<string> names that hold what was typed */
    public function namesLike(string $typed): array
    {
        /** @var list<string> $names */
        $names = $this->entities->createQueryBuilder()->select('DISTINCT machine.ownerName')->from(Machine::class, 'machine')
            ->where('machine.ownerName LIKE :typed')->setParameter('typed', '%'.addcslashes($typed, '%_\\').'%')->orderBy('machine.ownerName')->setMaxResults(self::MOST_NAMES)
            ->getQuery()->getSingleColumnResult();

        return $names;
    }

    /**
     * Erases the name, how to reach them and the remarks, in the history too. Nothing is flushed but that history.
     *
     * @return int how many jobs were theirs
     */
    public function erase(string $name): int
    {
        $jobs = $this->of($name);
        foreach ($jobs as $job) {
            $machine = $job->getMachine();
            $machine->describe($machine->getLabel(), $machine->facts(), self::NOBODY, '');
            $job->wantedFor($job->getWantedBy(), '');
            $this->eraseHistory($job);
        }

        return \count($jobs);
    }

    private function eraseHistory(Job $job): void
    {
        $connection = $this->entities->getConnection();
        $table = $this->entities->getClassMetadata(NewEntry::class)->getTableName();
        foreach ($connection->fetchAllKeyValue("SELECT id, rewritten FROM $table WHERE job_id = ? AND rewritten IS NOT NULL", [$job->getId()]) as $id => $packed) {
            $rewritten = \is_string($packed) ? json_decode($packed, true, flags: \JSON_THROW_ON_ERROR) : null;
            if (!\is_array($rewritten)) {
                continue;
            }
            foreach (['before', 'after'] as $side) {
                $said = \is_array($rewritten[$side] ?? null) ? $rewritten[$side] : [];
                foreach (array_intersect(self::PERSONAL, array_keys($said)) as $key) {
                    $said[$key] = 'owner' === $key ? self::NOBODY : '';
                }
                $rewritten[$side] = $said;
            }
            $connection->update($table, ['rewritten' => $rewritten], ['id' => $id], ['rewritten' => Types::JSON]);
        }
    }
}
