<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Running\Alternator;
use AwakeShed\Core\Running\PerformanceClass;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\Share;
use AwakeShed\Core\Units\ShareUnit;
use AwakeShed\Core\Units\SpeedUnit;

#[AsCalculation('alternator', Topic::Running, 'run.speed')]
final class AlternatorCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'rpm' => AmountInput::between(Measure::GovernedSpeed, SpeedUnit::Rpm, 500, 15_000)->usually(1_400, 4_200)->inSpecBook(SpecFigure::GovernedSpeed),
            'poles' => AmountInput::between(Measure::Pieces, CountUnit::Each, 2, 8)->by(2)->inSpecBook(SpecFigure::Poles),
            'rated_hz' => AmountInput::between(Measure::OutletFrequency, FrequencyUnit::Hertz, 40, 70)->by(60)->inSpecBook(SpecFigure::RatedFrequency),
            'loaded_rpm' => AmountInput::between(Measure::GovernedSpeed, SpeedUnit::Rpm, 500, 15_000)->usually(1_400, 4_200)->optional(),
            'band_percent' => AmountInput::between(Measure::Share, ShareUnit::Percent, 0, 50)->usually(0, 10)->optional(),
        ];
    }

    public function run(Given $in): Answer
    {
        $alternator = Alternator::withPoles($in->get('poles', Count::class));
        $noLoad = $in->get('rpm', ShaftSpeed::class);
        $loaded = $in->find('loaded_rpm', ShaftSpeed::class);
        $band = $in->find('band_percent', Share::class);
        $rated = $in->get('rated_hz', Frequency::class);
        $droop = null === $loaded ? null : PerformanceClass::droop($noLoad, $loaded, $alternator->speed($rated));
        $isFaster = null !== $droop && !Edge::isAtMost(0.0, $droop);
        $isOff = null !== $loaded && !$alternator->isAtRated($loaded, $rated);
        $class = null === $droop || null === $band || $isFaster || $isOff ? null : PerformanceClass::metBy($droop, $band->in(ShareUnit::Percent));

        return new Answer(
            match (true) {
                $isFaster => 'faster_loaded',
                $isOff => 'off_rated',
                null === $droop || null === $band => 'frequency',
                null === $class => 'no_class',
                default => 'class',
            },
            match (true) {
                $isFaster => VerdictTone::Ask,
                $isOff => VerdictTone::Bad,
                null === $droop || null === $band => VerdictTone::Plain,
                null === $class => VerdictTone::Bad,
                default => VerdictTone::Good,
            },
            [
                Figure::amount('hz', $alternator->frequency($noLoad), FrequencyUnit::Hertz, Measure::OutletFrequency),
                Figure::amount('rated_rpm', $alternator->speed($rated), SpeedUnit::Rpm, Measure::GovernedSpeed),
                Figure::amount('loaded_hz', null === $loaded ? null : $alternator->frequency($loaded), FrequencyUnit::Hertz, Measure::OutletFrequency),
                Figure::number('droop_percent', $droop, 2),
                Figure::word('performance_class', $class, 'performance_class'),
            ],
        );
    }
}
