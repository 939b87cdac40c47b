<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\TestCard\TestCards;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\App\Waste\CanFill;
use AwakeShed\App\Waste\WasteLedger;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Stage\ActEffects;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\StageState;
use AwakeShed\Core\Stage\StepState;
use AwakeShed\Core\Units\Volume;
use Psr\Clock\ClockInterface;

/** Works out what the page of a stage shows. */
final readonly class StagePages
{
    /** A can with less room than this is full to whoever comes with a jug. */
    private const ROOM_ML = 500.0;

    public function __construct(private Recorder $recorder, private StagePlan $work, private TestCards $bearings, private WaitRepository $waits, private ClockInterface $clock, private StageFigures $figures, private Shelf $shelf, private ActEffects $effects, private WasteLedger $ledger)
    {
    }

    public function forStage(Job $job, string $stage): StagePage
    {
        $record = $this->recorder->open($job);
        $case = $record->case();
        $acts = $record->acts();
        $stages = array_column(array_map(static fn ($state): array => [$state->stage->id, $state], $this->work->states($case, $acts)), 1, 0);
        $state = $stages[$stage] ?? throw new \LogicException('The route lets no other stage in.');
        $tests = array_values(array_unique(array_filter(array_map(static fn (StepState $one): ?string => $one->step->test, $state->steps), is_string(...))));
        $bearings = [];
        foreach ($this->bearings->lay($record, $tests) as $bearing) {
            $bearings[$bearing->test->id] = $bearing;
        }

        $leftovers = $this->leftovers($state, $case);
        $takesOil = [] !== array_filter($leftovers, static fn (Leftover $one): bool => $one->takesOil);

        return new StagePage(
            $job,
            $record,
            $state,
            array_values($stages),
            $bearings,
            $this->waits->ofJob($job),
            $this->clock->now(),
            $this->figures->forStage($stage, $record),
            $takesOil ? $this->shelf->stocks() : [],
            $leftovers,
        );
    }

    /** @return array<string, Leftover> by step that is an act */
    private function leftovers(StageState $state, CaseFile $case): array
    {
        $leftovers = [];
        $fills = null;
        foreach ($state->steps as $one) {
            $step = $one->step;
            if (!$step->isAct()) {
                continue;
            }
            $does = $step->does[''] ?? '';
            $stream = null === $step->waste ? $this->effects->stream($does, $case) : WasteStream::from($step->waste);
            $fills ??= null === $stream ? null : $this->ledger->fills();
            $withRoom = array_filter($fills ?? [], static fn (CanFill $fill): bool => $fill->can->getStream() === $stream && $fill->hasRoomFor(Volume::millilitres(self::ROOM_ML)));
            $leftovers[$step->id] = new Leftover($stream, array_values($withRoom)[0] ?? null, $step->wait ?? $this->effects->wait($does), $step->takesOil || $this->effects->takesOil($does));
        }

        return $leftovers;
    }
}
