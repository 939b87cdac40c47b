<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Running\FuelNeed;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

final class FuelNeedCalculation implements Calculation
{
    public function name(): string
    {
        return 'fuel-need';
    }

    public function about(): string
    {
        return 'What a four-stroke engine drinks at a speed, and whether a measured flow feeds it.';
    }

    public function source(): string
    {
        return 'Displacement, speed and filling; filling, air and mixture figures and the threefold margin: common practice.';
    }

    public function inputs(): array
    {
        return [
            'displacement_cc' => new CalcInput('Displacement', 'cm³', 10, 2_000),
            'rpm' => new CalcInput('Speed', 'rpm', 500, 15_000),
            'measured_ml_per_min' => new CalcInput('Flow measured', 'mL/min', 0, 20_000, 0),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $need = FuelNeed::of($in->millilitres('displacement_cc'), ShaftSpeed::of($in->number('rpm'), SpeedUnit::Rpm));

        return [
            'grams_per_min' => $need->gramsPerMinute(),
            'ml_per_min' => $need->perMinute()->inMillilitres(),
            'verdict' => $need->metBy($in->millilitres('measured_ml_per_min'))->value,
        ];
    }
}
