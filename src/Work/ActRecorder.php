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
use AwakeShed\App\Waste\WasteLedger;
use AwakeShed\App\Waste\WastePortion;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Units\Volume;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** Records an act with what it leaves to be waited for and to be carried away, all or nothing. */
final readonly class ActRecorder
{
    public function __construct(private Recorder $recorder, private StagePlan $work, private WasteLedger $ledger, private Shelf $shelf, private EntityManagerInterface $entities, private ClockInterface $clock)
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
        $this->recorder->did($job, $by, $key, $act, function (NewEntry $entry) use ($step, $act, $job, $by, $oil): void {
            $poured = Volume::millilitres($act->figures['ml'] ?? $act->figures['thrown_ml'] ?? 0.0);
            if (null !== $step->waste && WastePortion::bounds()->contains($poured)) {
                $this->ledger->pour($job, WasteStream::from($step->waste), $poured, $by, $entry);
            }
            if (null !== $step->wait) {
                $now = $this->clock->now();
                $this->entities->persist(new Wait($job, WaitKind::from($step->wait['kind']), $by, $now, $now->modify(\sprintf('+%d minutes', $step->wait['minutes'])), $entry));
            }
            if ($step->takesOil && null !== $oil) {
                $this->shelf->take($oil, Volume::millilitres($act->figures['ml'] ?? 0.0), $by, $entry);
            }
        });
    }
}
