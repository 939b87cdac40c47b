<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Oil\Oil;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Wait\Wait;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\App\Waste\WasteLedger;
use AwakeShed\App\Waste\WastePortion;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\ActEffects;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Units\Volume;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** Records an act with what it leaves to be waited for and to be carried away, all or nothing. */
final readonly class ActRecorder
{
    public function __construct(private Recorder $recorder, private StagePlan $work, private ActEffects $effects, private WasteLedger $ledger, private Shelf $shelf, private WaitRepository $waits, private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    /**
     * @param Oil|null $oil what was filled in, where it came off the shelf
     *
     * @throws \AwakeShed\App\Job\ClosedJob
     * @throws \AwakeShed\App\Evidence\ClosedStep
     * @throws \AwakeShed\Core\Stage\ImpossibleAct
     */
    public function record(Job $job, Member $by, RequestKey $key, Act $act, ?Oil $oil = null): void
    {
        $step = $this->work->step($act->step);
        $does = $this->work->told($act)[0]->act->id ?? '';
        $this->recorder->did($job, $by, $key, $act, function (NewEntry $entry, CaseFile $before) use ($step, $does, $act, $job, $by, $oil): void {
            $poured = Volume::millilitres($act->figures['ml'] ?? $act->figures['thrown_ml'] ?? 0.0);
            $this->pour($job, null === $step->waste ? $this->effects->stream($does, $before) : WasteStream::from($step->waste), $poured, $by, $entry);
            $this->endWaits($job, $does);
            $this->wait($job, $step->wait ?? $this->effects->wait($does), $by, $entry);
            if (null !== $oil && ($step->takesOil || $this->effects->takesOil($does))) {
                $this->shelf->take($oil, $poured, $by, $entry);
            }
        });
    }

    /**
     * Records an act of the vocabulary where no step of a stage stands for it.
     *
     * @throws \AwakeShed\App\Job\ClosedJob
     * @throws \AwakeShed\App\Evidence\ClosedTest  when it would turn or fire an engine that is held
     * @throws \AwakeShed\Core\Stage\ImpossibleAct
     */
    public function done(Job $job, Member $by, RequestKey $key, Done $done, ?Oil $oil = null): void
    {
        $this->effects->check($done);
        $ml = $done->measured['ml'] ?? null;
        $poured = is_numeric($ml) ? Volume::millilitres((float) $ml) : null;
        $this->recorder->observe($job, $by, $key, [$done], also: function (NewEntry $entry, CaseFile $before) use ($done, $poured, $job, $by, $oil): void {
            $act = $done->act->id;
            if (null !== $poured) {
                $this->pour($job, $this->effects->stream($act, $before), $poured, $by, $entry);
                if (null !== $oil && $this->effects->takesOil($act)) {
                    $this->shelf->take($oil, $poured, $by, $entry);
                }
            }
            $this->endWaits($job, $act);
            $this->wait($job, $this->effects->wait($act), $by, $entry);
        });
    }

    private function pour(Job $job, ?WasteStream $stream, Volume $poured, Member $by, NewEntry $entry): void
    {
        if (null !== $stream && WastePortion::bounds()->contains($poured)) {
            $this->ledger->pour($job, $stream, $poured, $by, $entry);
        }
    }

    /** What was waited for is over when the next thing is done. */
    private function endWaits(Job $job, string $act): void
    {
        $ends = $this->effects->ends($act);
        foreach ([] === $ends ? [] : $this->waits->ofJob($job) as $wait) {
            if (\in_array($wait->getKind()->value, $ends, true)) {
                $wait->end($this->clock->now());
            }
        }
    }

    /** @param array{kind: string, minutes: int}|null $wait */
    private function wait(Job $job, ?array $wait, Member $by, NewEntry $entry): void
    {
        if (null !== $wait) {
            $now = $this->clock->now();
            if (WaitKind::StandsCold->value === $wait['kind']) {
                $job->waitOn(WaitsOn::Cold);
            }
            $this->entities->persist(new Wait($job, WaitKind::from($wait['kind']), $by, $now, $now->modify(\sprintf('+%d minutes', $wait['minutes'])), $entry));
        }
    }
}
