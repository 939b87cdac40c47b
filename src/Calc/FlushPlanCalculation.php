<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Oil\FlushPlan;

final class FlushPlanCalculation implements Calculation
{
    public function name(): string
    {
        return 'flush-plan';
    }

    public function about(): string
    {
        return 'How many oil changes bring a thinned crankcase back, against the habit of two.';
    }

    public function source(): string
    {
        return 'Dilution by what clings at each draining; target, habit and share left: common practice.';
    }

    public function inputs(): array
    {
        return [
            'dilution' => new CalcInput('Gasoline in the oil before, by volume', '1', 0, 0.999),
            'left_share' => new CalcInput('Share of a filling that stays at each draining', '1', 0.01, 0.5, 0.1),
            'target' => new CalcInput('Dilution to reach', '1', 0.001, 0.2, 0.02),
            'not_boiled_share' => new CalcInput('Share of the gasoline left that a warm run does not boil off', '1', 0, 1, 1),
            'mark_ml' => new CalcInput('One filling', 'mL', 50, 10_000),
            'at_least' => new CalcInput('Changes the school asks for in any case', '1', 0, 10, FlushPlan::USUAL_CHANGES),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $plan = FlushPlan::reach($in->number('dilution'), $in->number('left_share'), $in->number('target'), $in->number('not_boiled_share'), $in->millilitres('mark_ml'), (int) $in->number('at_least'));

        return [
            'changes' => $plan->changes,
            'dilution_after_each' => $plan->dilution,
            'oil_needed_ml' => $plan->oil->inMillilitres(),
            'more_than_habit' => $plan->changes > FlushPlan::USUAL_CHANGES,
        ];
    }
}
