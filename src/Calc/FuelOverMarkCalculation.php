<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Oil\Dilution;

final class FuelOverMarkCalculation implements Calculation
{
    public function name(): string
    {
        return 'fuel-over-mark';
    }

    public function about(): string
    {
        return 'How much gasoline is in a crankcase, from how far the oil stands over the mark.';
    }

    public function source(): string
    {
        return 'What stands over the mark is taken for gasoline; bands: common practice.';
    }

    public function inputs(): array
    {
        return [
            'mark_ml' => new CalcInput('What the crankcase holds at the mark', 'mL', 50, 10_000),
            'over_mm' => new CalcInput('Height over the mark', 'mm', 0, 200),
            'ml_per_mm' => new CalcInput('What a millimetre of the dipstick stands for', 'mL', 0.1, 100),
            'error_mm' => new CalcInput('Half-width of the reading', 'mm', 0, 50, 1),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $dilution = Dilution::overMark($in->millilitres('mark_ml'), $in->millimetres('over_mm'), $in->millilitres('ml_per_mm'), $in->millimetres('error_mm'));

        return [
            'dilution' => $dilution->fraction,
            'dilution_half_width' => $dilution->halfWidth,
            'contents_ml' => $dilution->contents->inMillilitres(),
            'band' => $dilution->band()->value,
        ];
    }
}
