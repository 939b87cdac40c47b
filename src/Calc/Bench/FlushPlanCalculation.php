<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\FromCase;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Drawing\BarDrawing;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Oil\Clinging;
use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Share;
use AwakeShed\Core\Units\ShareUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('flush-plan', Topic::Oil, 'run.smoke')]
final class FlushPlanCalculation implements Calculation, FromCase
{
    use Described;

    protected function asks(): array
    {
        return [
            'dilution' => AmountInput::between(Measure::Share, ShareUnit::Whole, 0, 0.999),
            'dilution_half_width' => AmountInput::between(Measure::Share, ShareUnit::Whole, 0, 0.5)->by(0),
            ...DilutedOil::mark(),
            'refill_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 25, 10_000)->usually(200, 4_000)->optional(),
            'left_share' => AmountInput::between(Measure::Share, ShareUnit::Whole, 0.01, 0.5)->by(Clinging::SHARE),
            'target' => AmountInput::between(Measure::Share, ShareUnit::Whole, 0.001, 0.2)->by(0.02),
            'not_boiled_share' => AmountInput::between(Measure::Share, ShareUnit::Whole, 0, 1)->by(1),
            'at_least' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10)->usually(0, 4)->by(FlushPlan::USUAL_CHANGES),
            'minutes_each' => AmountInput::between(Measure::BenchTime, DurationUnit::Minute, 0, 480)->usually(5, 120)->by(30),
        ];
    }

    public function run(Given $in): Answer
    {
        $mark = $in->get('mark_ml', Volume::class);
        $refill = $in->find('refill_ml', Volume::class);
        $left = null === $refill ? $in->get('left_share', Share::class)->asFraction() : max(0.01, FlushPlan::leftShare($mark, $refill));
        $target = $in->get('target', Share::class)->asFraction();
        $dilution = $in->get('dilution', Share::class)->asFraction();
        $most = min(0.999, $dilution + $in->get('dilution_half_width', Share::class)->asFraction());
        $plan = FlushPlan::reach(0.0 === $dilution ? 0.0 : $most, $left, $target, $in->get('not_boiled_share', Share::class)->asFraction(), $mark, (int) $in->get('at_least', Count::class)->inEach());
        $isMore = $plan->changes > FlushPlan::USUAL_CHANGES;

        return new Answer(
            match (true) {
                0 === $plan->changes => 'none',
                $isMore => 'more_than_habit',
                default => 'habit_does',
            },
            match (true) {
                0 === $plan->changes => VerdictTone::Good,
                $isMore => VerdictTone::Bad,
                default => VerdictTone::Ask,
            },
            [
                Figure::number('changes', $plan->changes),
                Figure::shares('dilution_after_each', $plan->dilution, 2),
                Figure::amount('oil_needed_ml', $plan->oil, VolumeUnit::Millilitre, Measure::OilVolume),
                Figure::amount('time_minutes', $plan->time($in->get('minutes_each', Duration::class)), DurationUnit::Minute, Measure::BenchTime),
                Figure::share('left_share_used', $left),
                Figure::yesNo('more_than_habit', $isMore),
            ],
            drawing: BarDrawing::ofDilution($plan, $target),
        );
    }

    public function known(CaseFile $case): array
    {
        $share = $case->standing('look.oil_level')->measured['dilution'] ?? $case->lastFound('look.oil_level')->measured['dilution'] ?? null;

        return is_numeric($share) ? ['dilution' => Share::fraction((float) $share)] : [];
    }
}
