<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Fuel\Premix;

final class PremixCalculation implements Calculation
{
    public function name(): string
    {
        return 'premix';
    }

    public function about(): string
    {
        return 'Two-stroke oil, or stabilizer, for a volume of fuel, by the ratio on its label.';
    }

    public function source(): string
    {
        return 'Arithmetic; the ratio is the label\'s, 50 to 1 where nothing is said (common practice).';
    }

    public function inputs(): array
    {
        return [
            'fuel_ml' => new CalcInput('Fuel', 'mL', 10, 200_000),
            'parts_to_one' => new CalcInput('Fuel to one part', '1', 10, 200, 50),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        return ['measure_ml' => Premix::oil($in->millilitres('fuel_ml'), $in->number('parts_to_one'))->inMillilitres()];
    }
}
