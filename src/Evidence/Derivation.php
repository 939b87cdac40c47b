<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Job\Job;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Line\Stations;
use AwakeShed\Core\Money\WorkTime;
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Schedule\Day\RemainingWork;
use AwakeShed\Core\Units\DurationUnit;

/** What stands on a job beside its record, worked out from it: where it stands, what is left, the line. */
final readonly class Derivation
{
    public function __construct(
        private RecordReader $entries,
        private Vocabulary $vocabulary,
        private Progression $progression,
        private Assessing $assessor,
        private Stations $stations,
        private Cures $cures,
        private RemainingWork $remaining,
    ) {
    }

    /** Makes the derived columns of a job, and of its entries, anew from what is saved of them. The job is not flushed. */
    public function recompute(Job $job): void
    {
        $record = $this->entries->ofJob($job);
        $unsettled = $record->unsettled();
        foreach ($unsettled as $entry => $struck) {
            $this->entries->strike($entry, $struck);
        }
        $settled = [] === $unsettled ? $record : $this->entries->ofJob($job);
        $case = $settled->case();
        $assessment = $this->assessor->assess($case);
        $progress = $this->progression->standOf($case, $assessment);
        $job->nowStands($progress);
        $job->isLeft($this->remaining->of($case, $settled->acts(), $progress, $assessment));
        $job->workedFor(WorkTime::of($case, $this->vocabulary, $this->cures)->in(DurationUnit::Minute));
        $job->lineNow($this->stations->of($case, $assessment->faults));
    }
}
