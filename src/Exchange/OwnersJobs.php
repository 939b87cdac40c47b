<?php

declare(strict_types=1);

namespace AwakeShed\App\Exchange;

use AwakeShed\App\Evidence\Content\Rewritten;
use AwakeShed\App\Evidence\RecordReader;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Money\EstimateRepository;
use AwakeShed\App\Sheet\SentSheetRepository;
use Doctrine\ORM\EntityManagerInterface;

/** Whose machines the jobs are about: found by name, and made nobody's. */
final readonly class OwnersJobs
{
    private const NOBODY = 'Erased';
    public const MOST_NAMES = 30;

    /** On a job's sheet, and so in what its history says was rewritten ({@see JobSheet}). */
    private const PERSONAL = ['owner', 'contact', 'remarks'];

    public function __construct(private EntityManagerInterface $entities, private RecordReader $record, private EstimateRepository $monies, private SentSheetRepository $sheets)
    {
    }

    /** @return list<Job> of one owner, by the exact name, oldest first */
    public function ofOwner(string $name): array
    {
        /** @var list<Job> $jobs */
        $jobs = $this->entities->createQueryBuilder()->select('job', 'machine')->from(Job::class, 'job')
            ->innerJoin('job.machine', 'machine')->where('machine.ownerName = :name')->setParameter('name', $name)->orderBy('job.id')
            ->getQuery()->getResult();

        return $jobs;
    }

    /** @return list<string> names that hold what was typed, in their order; one above the most where there are more */
    public function namesLike(string $typed): array
    {
        /** @var list<string> $names */
        $names = $this->entities->createQueryBuilder()->select('DISTINCT machine.ownerName')->from(Machine::class, 'machine')
            ->where('machine.ownerName LIKE :typed')->setParameter('typed', '%'.addcslashes($typed, '%_\\').'%')->orderBy('machine.ownerName')->setMaxResults(self::MOST_NAMES + 1)
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
        $jobs = $this->ofOwner($name);
        foreach ($jobs as $job) {
            $machine = $job->getMachine();
            $machine->describe($machine->getLabel(), $machine->facts(), self::NOBODY, '');
            $job->wantedFor($job->getWantedBy(), '');
            $this->record->eraseRewritten($job, self::erased(...));
            $this->monies->forget($job);
            $this->sheets->forget($job);
        }

        return \count($jobs);
    }

    private static function erased(Rewritten $rewritten): Rewritten
    {
        return new Rewritten(self::without($rewritten->before), self::without($rewritten->after));
    }

    /**
     * @param array<string, mixed> $said
     *
     * @return array<string, mixed>
     */
    private static function without(array $said): array
    {
        foreach (array_intersect(self::PERSONAL, array_keys($said)) as $key) {
            $said[$key] = 'owner' === $key ? self::NOBODY : '';
        }

        return $said;
    }
}
