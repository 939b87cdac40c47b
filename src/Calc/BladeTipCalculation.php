<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Running\BladeTip;
use AwakeShed\Core\Units\SpeedUnit;

final class BladeTipCalculation implements Calculation
{
    public function name(): string
    {
        return 'blade-tip';
    }

    public function about(): string
    {
        return 'The speed a mower must not pass, by the length of its blade.';
    }

    public function source(): string
    {
        return 'Tip speed of 19 000 ft/min: ANSI/OPEI B71.1 (published).';
    }

    public function inputs(): array
    {
        return ['blade_mm' => new CalcInput('Blade, tip to tip', 'mm', 50, 2_500)];
    }

    public function run(CalcNumbers $in): array
    {
        return ['fastest_rpm' => BladeTip::fastest($in->millimetres('blade_mm'))->in(SpeedUnit::Rpm)];
    }
}
