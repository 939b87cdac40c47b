<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Diagnosis\TestCards;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\StepState;
use Psr\Clock\ClockInterface;

/** Works out what the page of a stage shows. */
final readonly class StagePages
{
    public function __construct(private Recorder $recorder, private StagePlan $work, private TestCards $bearings, private WaitRepository $waits, private ClockInterface $clock, private StageFigures $figures, private Shelf $shelf)
    {
    }

    public function of(Job $job, string $stage): StagePage
    {
        $record = $this->recorder->open($job);
        $case = $record->case();
        $acts = $record->acts();
        $stages = array_column(array_map(static fn ($state): array => [$state->stage->id, $state], $this->work->of($case, $acts)), 1, 0);
        $state = $stages[$stage] ?? throw new \LogicException('The route lets no other stage in.');
        $tests = array_values(array_unique(array_filter(array_map(static fn (StepState $one): ?string => $one->step->test, $state->steps), is_string(...))));
        $bearings = [];
        foreach ($this->bearings->of($case, $tests) as $bearing) {
            $bearings[$bearing->test->id] = $bearing;
        }

        $takesOil = [] !== array_filter($state->steps, static fn (StepState $one): bool => $one->step->takesOil);

        return new StagePage(
            $job,
            $record,
            $state,
            array_values($stages),
            $bearings,
            $this->waits->ofJob($job),
            $this->clock->now(),
            $this->figures->of($stage, $case, $acts),
            $takesOil ? $this->shelf->stocks() : [],
        );
    }
}
