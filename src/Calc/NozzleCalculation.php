<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Running\SprayNozzle;

final class NozzleCalculation implements Calculation
{
    public function name(): string
    {
        return 'nozzle';
    }

    public function about(): string
    {
        return 'The nozzle size that suits a pressure washer\'s pump.';
    }

    public function source(): string
    {
        return 'Orifice relation (published), referred to 4000 psi as the trade counts nozzles (common practice).';
    }

    public function inputs(): array
    {
        return [
            'gal_per_min' => new CalcInput('Pump flow', 'US gal/min', 0.2, 20),
            'psi' => new CalcInput('Working pressure', 'psi', 100, 10_000),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        return ['size' => SprayNozzle::forPump($in->number('gal_per_min'), $in->number('psi'))->size];
    }
}
