<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountsInput;
use AwakeShed\App\Calc\Input\ChoiceInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Drawing\Bar;
use AwakeShed\App\Drawing\BarDrawing;
use AwakeShed\App\Unit\Figures;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Cylinder\Ejecta;
use AwakeShed\Core\Cylinder\PullLog;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('pull-log', Topic::Cylinder, 'pull.ejecta')]
final class PullLogCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'thrown_ml' => new AmountsInput(Measure::CylinderVolume, VolumeUnit::Millilitre, 0, 500, [0, 1, 5, 15]),
            'liquid' => new ChoiceInput(Ejecta::class, 'pull.ejecta', Ejecta::Gas),
        ];
    }

    public function run(Given $in): Answer
    {
        $pulls = $in->all('thrown_ml', Volume::class);
        $log = PullLog::fromPulls($pulls);
        $what = $log->thrown()->inMillilitres() > 0.0 ? $in->get('liquid', Ejecta::class)->value : 'none';

        return new Answer(
            match (true) {
                0 === $log->count() => 'not_begun',
                $log->isDry() => 'dry',
                default => 'go_on',
            },
            $log->isDry() ? VerdictTone::Good : VerdictTone::Ask,
            [
                Figure::number('pulls', $log->count()),
                Figure::amount('thrown_in_all_ml', $log->thrown(), VolumeUnit::Millilitre, Measure::CylinderVolume),
                Figure::yesNo('dry', $log->isDry()),
                Figure::word('what', $what, 'pull.ejecta'),
            ],
            0 === $log->count() ? [] : [Finding::observed('pull.ejecta', $what)->measuring(['pulls' => $log->count(), 'thrown_ml' => round($log->thrown()->inMillilitres(), 1)])],
            [] === $pulls ? null : BarDrawing::withBars('thrown_by_pull', array_map(
                static fn (int $pull, Volume $thrown): Bar => new Bar((string) ($pull + 1), $thrown->inMillilitres(), Figures::amount($thrown, Measure::CylinderVolume)),
                array_keys($pulls),
                $pulls,
            )),
        );
    }
}
