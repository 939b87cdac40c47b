<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Money\WorkTime;
use Doctrine\ORM\EntityManagerInterface;

/** Gathers what is known of a machine from all its stays, and from those of others of its model. */
final readonly class MachineLives
{
    /** Stays whose records are read for a page: more would say the same. */
    private const MOST = 6;

    public function __construct(private EntityManagerInterface $entities, private Recorder $recorder, private Vocabulary $vocabulary, private Cures $cures)
    {
    }

    public function of(Machine $machine): MachineLife
    {
        $notes = [];
        foreach ($this->entities->getRepository(LifeNote::class)->findBy(['machine' => $machine, 'takenBackAt' => null], ['id' => 'DESC']) as $note) {
            $notes[$note->getTopic()->value][] = $note;
        }
        $stays = $this->entities->getRepository(Job::class)->findBy(['machine' => $machine], ['id' => 'DESC'], self::MOST);
        $others = $this->ofModel($machine);
        $alike = array_count_values(array_merge([], ...array_map(static fn (Stay $stay): array => $stay->cured, $others)));
        arsort($alike);

        return new MachineLife($machine, $notes, array_map($this->read(...), $stays), $alike, $others);
    }

    /** @return list<Stay> of others of its model that went home, the latest first; none where its model is not known */
    public function ofModel(Machine $machine): array
    {
        if ('' === $machine->modelName()) {
            return [];
        }
        /** @var list<Job> $jobs */
        $jobs = $this->entities->getRepository(Job::class)->createQueryBuilder('job')
            ->addSelect('machine')->innerJoin('job.machine', 'machine')
            ->where('machine.maker = :maker AND machine.model = :model AND machine <> :this AND job.handedBackAt IS NOT NULL')
            ->setParameter('maker', $machine->getMaker())->setParameter('model', $machine->getModel())->setParameter('this', $machine)
            ->orderBy('job.id', 'DESC')->setMaxResults(self::MOST)
            ->getQuery()->getResult();

        return array_map($this->read(...), $jobs);
    }

    private function read(Job $job): Stay
    {
        $case = $this->recorder->open($job)->case();

        return new Stay($job, $case->cured(), WorkTime::of($case, $this->vocabulary, $this->cures));
    }
}
