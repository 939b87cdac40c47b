<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Shed\ShedList;
use AwakeShed\App\Shed\ShedQuery;
use AwakeShed\App\Shed\ShedRow;
use AwakeShed\App\Shed\ShedSort;
use Doctrine\ORM\EntityManagerInterface;

/** Finds a machine that was here before: by the number on its tag, its serial number, its owner or its name. */
final readonly class KnownMachines
{
    private const MOST = 8;

    public function __construct(private EntityManagerInterface $entities, private JobRepository $jobs, private ShedList $shed)
    {
    }

    /** @param string $number as an address has it */
    public function numbered(string $number): ?Machine
    {
        return ctype_digit($number) && \strlen($number) < 10 ? $this->entities->find(Machine::class, (int) $number) : null;
    }

    /** @return list<Machine> */
    public function find(string $typed): array
    {
        $tag = ltrim($typed, '#');
        if (ctype_digit($tag) && \strlen($tag) < 10) {
            $job = $this->entities->find(Job::class, (int) $tag);
            if (null !== $job) {
                return [$job->getMachine()];
            }
        }
        $rows = [];
        foreach ([false, true] as $isHome) {
            $rows = [...$rows, ...$this->shed->page(new ShedQuery($typed, handedBack: $isHome, sort: ShedSort::Newest))->rows];
        }
        $machines = [];
        foreach ($this->jobs->numbered(array_map(static fn (ShedRow $row): int => $row->id, $rows)) as $job) {
            $machines[$job->getMachine()->getId() ?? 0] = $job->getMachine();
        }
        krsort($machines);

        return \array_slice(array_values($machines), 0, self::MOST);
    }

    /** @param Job $but the stay that begins now */
    public function lastStay(Machine $machine, Job $but): ?Job
    {
        foreach ($this->entities->getRepository(Job::class)->findBy(['machine' => $machine], ['id' => 'DESC'], 2) as $job) {
            if ($job !== $but) {
                return $job;
            }
        }

        return null;
    }
}
