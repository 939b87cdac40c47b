<?php

declare(strict_types=1);

namespace AwakeShed\App\Season;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Service\ServiceList;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\StepState;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** The service of a machine, from this stay and the ones before. */
final readonly class Services
{
    private const STAGE = 'service';

    /** Stays before that are read: what was done longer ago is due anyway. */
    private const MOST = 4;

    public function __construct(private StagePlan $plan, private EntityManagerInterface $entities, private Recorder $recorder, private ClockInterface $clock)
    {
    }

    public function of(Record $record): ServiceList
    {
        $job = $record->job;

        return ServiceList::of($this->plan->stateOfStage(self::STAGE, $record->case(), $record->acts())->steps, $record->case(), $this->before($job), $job->getMachine()->getHoursAYear(), $job->getHandedBackAt() ?? $this->clock->now());
    }

    /** @return array<string, \DateTimeImmutable> by step, when it was done last on an earlier stay */
    private function before(Job $job): array
    {
        $past = [];
        foreach (array_reverse($this->entities->getRepository(Job::class)->findBy(['machine' => $job->getMachine()], ['id' => 'DESC'], self::MOST + 1)) as $stay) {
            if ($stay->getId() >= $job->getId()) {
                continue;
            }
            $record = $this->recorder->open($stay);
            $done = array_filter($this->plan->stateOfStage(self::STAGE, $record->case(), $record->acts())->steps, static fn (StepState $state): bool => $state->isDone);
            foreach ($done as $state) {
                $past[$state->step->id] = $stay->getHandedBackAt() ?? $stay->getTakenInAt();
            }
        }

        return $past;
    }
}
