<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use Doctrine\ORM\EntityManagerInterface;

/** Finds a machine that was here before: by the number on its tag, its serial number, its owner or its name. */
final readonly class KnownMachines
{
    private const MOST = 8;

    public function __construct(private EntityManagerInterface $entities)
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
        /** @var list<Machine> $machines */
        $machines = $this->entities->getRepository(Machine::class)->createQueryBuilder('machine')
            ->where('machine.serial LIKE :typed OR machine.ownerName LIKE :typed OR machine.label LIKE :typed')
            ->setParameter('typed', addcslashes($typed, '%_\\').'%')
            ->orderBy('machine.id', 'DESC')->setMaxResults(self::MOST)
            ->getQuery()->getResult();

        return $machines;
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
