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
use AwakeShed\App\Calc\Input\ChoiceInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Drawing\Bar;
use AwakeShed\App\Drawing\BarDrawing;
use AwakeShed\App\Unit\Figures;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Repair\Beta;
use AwakeShed\Core\Repair\Choice;
use AwakeShed\Core\Repair\Contamination;
use AwakeShed\Core\Repair\Way;
use AwakeShed\Core\Repair\WayCost;
use AwakeShed\Core\Repair\WayOdds;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\MoneyUnit;

#[AsCalculation('repair', Topic::Carburetor)]
final class RepairCalculation implements Calculation, FromCase
{
    use Described;

    protected function asks(): array
    {
        return [
            'contamination' => new ChoiceInput(Contamination::class, 'bowl.inside', Contamination::Sediment),
            'wage_per_hour' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 1_000)->usually(10, 200)->by(60),
            'comeback_cost' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 10_000)->by(40),
            'machine_worth' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 100_000)->usually(20, 6_000)->optional(),
            'clean_hours' => AmountInput::between(Measure::Labor, DurationUnit::Hour, 0, 100)->usually(0.1, 8)->by(0.75),
            'clean_parts' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 10_000)->usually(0, 300)->by(3),
            'clean_worked' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10_000)->by(0),
            'clean_failed' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10_000)->by(0),
            'kit_hours' => AmountInput::between(Measure::Labor, DurationUnit::Hour, 0, 100)->usually(0.1, 8)->by(1),
            'kit_parts' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 10_000)->usually(0, 300)->by(12),
            'kit_worked' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10_000)->by(0),
            'kit_failed' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10_000)->by(0),
            'donor_hours' => AmountInput::between(Measure::Labor, DurationUnit::Hour, 0, 100)->usually(0.1, 8)->by(1.25),
            'donor_parts' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 10_000)->usually(0, 300)->optional(),
            'donor_worked' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10_000)->by(0),
            'donor_failed' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10_000)->by(0),
            'replace_hours' => AmountInput::between(Measure::Labor, DurationUnit::Hour, 0, 100)->usually(0.1, 8)->by(0.5),
            'replace_parts' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 10_000)->usually(0, 600)->by(45),
            'replace_worked' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10_000)->by(0),
            'replace_failed' => AmountInput::between(Measure::Pieces, CountUnit::Each, 0, 10_000)->by(0),
        ];
    }

    public function run(Given $in): Answer
    {
        $contamination = $in->get('contamination', Contamination::class);
        $priors = [
            [Way::Clean, $contamination->cleaningMean()],
            [Way::Kit, $contamination->kitMean()],
            // Of a donor only where there is one.
            ...(null === $in->find('donor_parts', Money::class) ? [] : [[Way::Donor, WayOdds::DONOR_MEAN]]),
            [Way::Replace, WayOdds::REPLACE_MEAN],
        ];
        $ways = [];
        foreach ($priors as [$way, $mean]) {
            $ways[] = new WayOdds(
                $way,
                $in->get($way->value.'_parts', Money::class),
                $in->get($way->value.'_hours', Duration::class),
                Beta::worth($mean, WayOdds::PRIOR_WEIGHT)->seen((int) $in->get($way->value.'_worked', Count::class)->inEach(), (int) $in->get($way->value.'_failed', Count::class)->inEach()),
            );
        }
        $choice = Choice::between($ways, $in->get('wage_per_hour', Money::class), $in->get('comeback_cost', Money::class));
        $worth = $in->find('machine_worth', Money::class);
        $first = $choice->cheapest();
        $figures = [
            Figure::word('cheapest', $first->way->way, 'way'),
            Figure::word('second', $choice->ways[1]->way->way, 'way'),
            Figure::yesNo('toss_up', $choice->isTossUp()),
            Figure::amount('cheapest_cost', $first->expected, MoneyUnit::Dollar, Measure::ReckonedCost),
            Figure::amount('cheapest_cost_least', $first->least, MoneyUnit::Dollar, Measure::ReckonedCost),
            Figure::amount('cheapest_cost_most', $first->most, MoneyUnit::Dollar, Measure::ReckonedCost),
        ];
        foreach ($choice->ways as $cost) {
            $name = $cost->way->way->value;
            $figures = [
                ...$figures,
                Figure::amount($name.'_cost', $cost->expected, MoneyUnit::Dollar, Measure::ReckonedCost),
                Figure::amount($name.'_cost_least', $cost->least, MoneyUnit::Dollar, Measure::ReckonedCost),
                Figure::amount($name.'_cost_most', $cost->most, MoneyUnit::Dollar, Measure::ReckonedCost),
                Figure::share($name.'_odds', $cost->way->odds->mean(), 0),
                Figure::share($name.'_odds_least', $cost->oddsLeast, 0),
                Figure::share($name.'_odds_most', $cost->oddsMost, 0),
            ];
            if (Way::Replace !== $cost->way->way) {
                $figures[] = Figure::share($name.'_break_even', max(0.0, $choice->breakEven($cost->way)), 0);
            }
        }

        return new Answer(
            match (true) {
                null !== $worth && !$choice->isWorthIt($worth) => 'not_worth_it',
                Contamination::Pitted === $contamination => 'pitted',
                $choice->isTossUp() => 'toss_up',
                default => 'cheapest',
            },
            match (true) {
                null !== $worth && !$choice->isWorthIt($worth) => VerdictTone::Bad,
                $choice->isTossUp() => VerdictTone::Ask,
                default => VerdictTone::Good,
            },
            $figures,
            drawing: BarDrawing::withBars('expected_cost', array_map(
                static fn (WayCost $cost): Bar => new Bar($cost->way->way->value, $cost->expected->inDollars(), Figures::amount($cost->expected, Measure::ReckonedCost), $cost->least->inDollars(), $cost->most->inDollars()),
                $choice->ways,
            ), $worth?->inDollars(), null === $worth ? null : Figures::amount($worth, Measure::ReckonedCost)),
        );
    }

    public function known(CaseFile $case): array
    {
        return array_filter(['contamination' => Contamination::found($case)]);
    }
}
