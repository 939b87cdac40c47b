<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Fuel\Settling;
use AwakeShed\Core\Units\Length;

final class SettlingCalculation implements Calculation
{
    public function name(): string
    {
        return 'settling';
    }

    public function about(): string
    {
        return 'How long water drops take to fall through a jar of gasoline.';
    }

    public function source(): string
    {
        return 'Stokes’ law (published); density difference and viscosity: from memory; drop sizes: common practice.';
    }

    public function inputs(): array
    {
        return [
            'height_mm' => new CalcInput('Height of the fuel', 'mm', 5, 500),
            'drop_um' => new CalcInput('Diameter of the drops', 'µm', 1, 90, 20),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        return [
            'seconds' => Settling::through($in->millimetres('height_mm'), Length::micrometres($in->number('drop_um')))->inSeconds(),
            'first_look_seconds' => Settling::firstLook($in->millimetres('height_mm'))->inSeconds(),
            'full_wait_seconds' => Settling::fullWait($in->millimetres('height_mm'))->inSeconds(),
        ];
    }
}
