<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Fuel\WaterTolerance;

final class WaterToleranceCalculation implements Calculation
{
    public function __construct(private readonly WaterTolerance $tolerance)
    {
    }

    public function name(): string
    {
        return 'water-tolerance';
    }

    public function about(): string
    {
        return 'How much water a tank of gasoline and ethanol holds before it separates, counted from dry fuel.';
    }

    public function source(): string
    {
        return 'US EPA note, 1995 (published) for E10 and E0 at 60 °F; everything else from memory.';
    }

    public function inputs(): array
    {
        return [
            'ethanol' => new CalcInput('Ethanol by volume', '1', 0, 0.15, 0.1),
            'celsius' => new CalcInput('Temperature of the fuel', '°C', -20, 40),
            'tank_ml' => new CalcInput('Fuel in the tank', 'mL', 1, 200_000),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $held = $this->tolerance->of($in->number('ethanol'), $in->celsius('celsius'), $in->millilitres('tank_ml'));

        return [
            'water_ml' => $held->water->inMillilitres(),
            'half_width_ml' => $held->halfWidth->inMillilitres(),
            'fraction' => $held->fraction,
            'from_memory' => $held->fromMemory,
        ];
    }
}
