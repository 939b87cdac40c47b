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
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Running\BladeTrack;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

#[AsCalculation('blade-track', Topic::Running, 'crank.true')]
final class BladeTrackCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'one_side_mm' => AmountInput::between(Measure::BladeLength, LengthUnit::Millimetre, 0, 1_000)->usually(1, 200),
            'other_side_mm' => AmountInput::between(Measure::BladeLength, LengthUnit::Millimetre, 0, 1_000)->usually(1, 200),
            'rule_error_mm' => AmountInput::between(Measure::FeelerGap, LengthUnit::Millimetre, 0, 20)->by(0.5),
        ];
    }

    public function run(Given $in): Answer
    {
        $track = BladeTrack::measure($in->get('one_side_mm', Length::class), $in->get('other_side_mm', Length::class), $in->get('rule_error_mm', Length::class));
        $isTrue = $track->isTrue();
        $off = ['off_mm' => round($track->offBy()->inMillimetres(), 2)];

        return new Answer(
            match ($isTrue) {
                true => 'true',
                false => 'bent',
                null => 'unsure',
            },
            match ($isTrue) {
                true => VerdictTone::Good,
                false => VerdictTone::Bad,
                null => VerdictTone::Ask,
            },
            [Figure::amount('off_mm', $track->offBy(), LengthUnit::Millimetre, Measure::FeelerGap)],
            null === $isTrue ? [] : [Finding::observed('crank.true', $isTrue ? 'true' : 'bent')->measuring($off)],
        );
    }
}
