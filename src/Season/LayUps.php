<?php

declare(strict_types=1);

namespace AwakeShed\App\Season;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Reader\Dates;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Catalogue;
use AwakeShed\App\Words\StepWords;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\LayUp\LayUpPlan;
use AwakeShed\Core\LayUp\LayUpStep;
use AwakeShed\Core\LayUp\Season;
use AwakeShed\Core\LayUp\Setting;
use AwakeShed\Core\Service\ServiceList;
use AwakeShed\Core\Stage\StagePlan;
use Psr\Clock\ClockInterface;

/** How a machine is laid up and woken again, in words. */
final readonly class LayUps
{
    private const STAGE = 'layup';

    public function __construct(private StagePlan $plan, private Services $services, private StepWords $steps, private Catalogue $catalogue, private Quantities $quantities, private Dates $dates, private ClockInterface $clock)
    {
    }

    public function planOf(Record $record): LayUpPlan
    {
        return LayUpPlan::of($this->plan->stateOfStage(self::STAGE, $record->case(), $record->acts())->steps, $record->case()->machine);
    }

    /** @return list<string> the steps, each with how it is done and how much of what */
    public function lines(Record $record): array
    {
        return array_map(function (LayUpStep $one): string {
            $step = $this->plan->step($one->step);
            $much = $this->much($one);

            return $this->steps->step($step).('' === $much ? '' : ', '.$much).'. '.$this->steps->doing($step);
        }, $this->planOf($record)->steps);
    }

    public function much(LayUpStep $one): string
    {
        return implode(', ', array_filter([
            null === $one->amount ? '' : $this->quantities->show($one->amount, \in_array($one->step, ['layup.fill', 'layup.ethanol_free'], true) ? Measure::TankVolume : Measure::OilVolume),
            null === $one->minutes ? '' : $this->say('minutes', ['%count%' => $one->minutes]),
        ], static fn (string $much): bool => '' !== $much));
    }

    /** After its season; what goes home while it stands anyway is laid up at once. */
    public function layUpDay(Job $job): \DateTimeImmutable
    {
        $now = $this->clock->now();
        $season = Season::of($job->getMachine()->getKind());

        return $season->isOff($now) ? $job->getHandedBackAt() ?? $now : $season->layUpAfter($now);
    }

    public function wakeDay(Job $job): \DateTimeImmutable
    {
        return Season::of($job->getMachine()->getKind())->wakeAfter(max($this->layUpDay($job), $this->clock->now()));
    }

    /** @return list<string> what is set otherwise, and from when */
    public function settings(CaseFile $case): array
    {
        return array_map(fn (Setting $setting): string => $this->say('setting_'.$setting->what.'_'.$setting->side, ['%day%' => $this->dates->day($setting->from)]), Setting::nextOf($case->machine, $this->clock->now()));
    }

    /** @return list<string> what its waking will want */
    public function needs(Job $job, ServiceList $service): array
    {
        return array_map(fn (string $step): string => $this->steps->step($this->plan->step($step)), $service->dueBy($this->wakeDay($job)));
    }

    public function service(Record $record): ServiceList
    {
        return $this->services->of($record);
    }

    /** @param array<string, int|string> $with */
    private function say(string $key, array $with = []): string
    {
        return $this->catalogue->say($key, $with, 'season');
    }
}
