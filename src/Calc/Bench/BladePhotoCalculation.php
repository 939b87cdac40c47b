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
use AwakeShed\App\Calc\Input\PointInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Running\BladeTrack;
use AwakeShed\Core\Sight\PhotoJar;
use AwakeShed\Core\Sight\PhotoRule;
use AwakeShed\Core\Sight\Point;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

#[AsCalculation('blade-photo', Topic::Running, 'crank.true')]
final class BladePhotoCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'one_tip' => new PointInput(),
            'one_deck' => new PointInput(),
            'one_rule_from' => new PointInput(),
            'one_rule_to' => new PointInput(),
            'other_tip' => new PointInput(),
            'other_deck' => new PointInput(),
            'other_rule_from' => new PointInput(),
            'other_rule_to' => new PointInput(),
            'rule_mm' => AmountInput::between(Measure::BladeLength, LengthUnit::Millimetre, 1, 1_000)->usually(10, 300)->by(100),
            'tap_error_px' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 100)->usually(1, 30)->by(PhotoJar::TAP_ERROR),
        ];
    }

    public function run(Given $in): Answer
    {
        $rule = $in->get('rule_mm', Length::class);
        $tap = $in->get('tap_error_px', Count::class)->inEach();
        $gap = static fn (string $side): PhotoRule => PhotoRule::between($in->get($side.'_tip', Point::class), $in->get($side.'_deck', Point::class), $in->get($side.'_rule_from', Point::class), $in->get($side.'_rule_to', Point::class), $rule, $tap);
        [$one, $other] = [$gap('one'), $gap('other')];
        $error = $one->halfWidth->isGreaterThan($other->halfWidth) ? $one->halfWidth : $other->halfWidth;
        $track = BladeTrack::measure($one->length, $other->length, $error);
        $isTrue = $track->isTrue();

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
            [
                Figure::within('one_side_mm', $one->length, $one->halfWidth, LengthUnit::Millimetre, Measure::FeelerGap),
                Figure::within('other_side_mm', $other->length, $other->halfWidth, LengthUnit::Millimetre, Measure::FeelerGap),
                Figure::within('off_mm', $track->offBy(), $error->times(\M_SQRT2), LengthUnit::Millimetre, Measure::FeelerGap),
            ],
            null === $isTrue ? [] : [Finding::observed('crank.true', $isTrue ? 'true' : 'bent')->measuring(['off_mm' => round($track->offBy()->inMillimetres(), 2)])],
        );
    }
}
