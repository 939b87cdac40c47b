<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Fuel\WaterShift;

final class WaterShiftCalculation implements Calculation
{
    public function name(): string
    {
        return 'water-shift';
    }

    public function about(): string
    {
        return 'Ethanol in fuel from the growth of the water shaken with it, naive and corrected for contraction.';
    }

    public function source(): string
    {
        return 'Density of ethanol and water: OIML R 22, 1975 (published); ethanol left in the gasoline: from memory; 10 % limit: common practice.';
    }

    public function inputs(): array
    {
        return [
            'fuel_ml' => new CalcInput('Fuel in the tube', 'mL', 1, 2_000),
            'water_ml' => new CalcInput('Water added', 'mL', 1, 2_000),
            'aqueous_ml' => new CalcInput('Lower layer after shaking', 'mL', 0, 4_000),
            'celsius' => new CalcInput('Temperature', '°C', 0, 40, 20),
            'error_ml' => new CalcInput('Half-width of the reading', 'mL', 0.01, 50, WaterShift::READING_ERROR_ML),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $content = WaterShift::read($in->millilitres('fuel_ml'), $in->millilitres('water_ml'), $in->millilitres('aqueous_ml'), $in->celsius('celsius'), $in->millilitres('error_ml'))->content();

        return [
            'naive' => $content->naive,
            'corrected' => $content->corrected,
            'half_width' => $content->halfWidth,
            'least' => $content->least(),
            'most' => $content->most(),
            'grade' => $content->grade()->value,
            'small_engine_limit' => $content->againstSmallEngineLimit()->value,
        ];
    }
}
