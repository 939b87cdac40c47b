<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Words\BenchWords;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Money\WorkTime;
use Doctrine\ORM\EntityManagerInterface;

/** Gathers what is known of a machine from all its stays, and from those of others of its model. */
final readonly class MachineLives
{
    /** Stays whose records are read for a page: more would say the same. */
    private const MOST = 6;

    /** Notes of a part that the next to have it in hand is glad of. */
    private const WORTH_KEEPING = ['hole', 'turns', 'bore', 'size', 'screws'];

    public function __construct(private EntityManagerInterface $entities, private Recorder $recorder, private Vocabulary $vocabulary, private Cures $cures, private Words $words, private StepWords $steps, private BenchWords $bench)
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

        return new MachineLife($machine, $notes, array_map($this->read(...), $stays), self::cured($others), $others);
    }

    /** @return list<LifeNote> what is known of it about one thing, the latest first */
    public function known(Machine $machine, LifeTopic $topic): array
    {
        return $this->entities->getRepository(LifeNote::class)->findBy(['machine' => $machine, 'topic' => $topic, 'takenBackAt' => null], ['id' => 'DESC']);
    }

    /**
     * @param list<Stay> $stays
     *
     * @return array<string, int> how often each fault was cured, the most often first
     */
    public static function cured(array $stays): array
    {
        $cured = array_count_values(array_merge([], ...array_map(static fn (Stay $stay): array => $stay->cured, $stays)));
        arsort($cured);

        return $cured;
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

    /** @return list<string> */
    private function settings(Record $record): array
    {
        $settings = [];
        foreach ($record->ledger()->parts as $part) {
            foreach (array_intersect_key($part->notes, array_flip(self::WORTH_KEEPING)) as $note) {
                $settings[] = $this->bench->part($part).': '.$note;
            }
        }
        foreach ($record->case()->events as $event) {
            if ($event instanceof Done && \in_array($event->act->id, ['idle.set', 'governor.set', 'valve_lash.set'], true) && [] !== $event->measured) {
                $settings[] = $this->words->event($event);
            }
        }
        foreach ($record->acts() as $act) {
            if (\in_array($act->step, ['jet.before', 'jet.after'], true)) {
                $settings[] = $this->steps->act($act);
            }
        }

        return $settings;
    }

    private function read(Job $job): Stay
    {
        $record = $this->recorder->open($job);
        $case = $record->case();

        return new Stay($job, WorkTime::worked($case, $this->cures), WorkTime::of($case, $this->vocabulary, $this->cures), $this->settings($record));
    }
}
