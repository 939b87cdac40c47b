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
use AwakeShed\Core\Running\BladeTip;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

#[AsCalculation('blade-tip', Topic::Running, 'run.speed')]
final class BladeTipCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'blade_mm' => AmountInput::between(Measure::BladeLength, LengthUnit::Millimetre, 50, 2_500)->usually(280, 1_400)->inSpecBook(SpecFigure::Blade),
            'rpm' => AmountInput::between(Measure::GovernedSpeed, SpeedUnit::Rpm, 200, 20_000)->usually(1_800, 4_200)->optional(),
        ];
    }

    public function run(Given $in): Answer
    {
        $fastest = BladeTip::fastest($in->get('blade_mm', Length::class));
        $measured = $in->find('rpm', ShaftSpeed::class);
        $isOver = null !== $measured && $measured->isGreaterThan($fastest);

        return new Answer(
            match (true) {
                null === $measured => 'limit',
                $isOver => 'over',
                default => 'within',
            },
            match (true) {
                null === $measured => VerdictTone::Plain,
                $isOver => VerdictTone::Bad,
                default => VerdictTone::Good,
            },
            [Figure::limit('fastest_rpm', $fastest, SpeedUnit::Rpm, Measure::GovernedSpeed)],
        );
    }
}
