<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Running\StandardAtmosphere;

final class AltitudeCalculation implements Calculation
{
    public function name(): string
    {
        return 'altitude';
    }

    public function about(): string
    {
        return 'How a compression reading shrinks with altitude: what it would be at sea level.';
    }

    public function source(): string
    {
        return 'International Standard Atmosphere (published).';
    }

    public function inputs(): array
    {
        return [
            'altitude_m' => new CalcInput('Above sea level', 'm', -500, 5_000),
            'gauge_psi' => new CalcInput('Compression as read', 'psi', 0, 400, 0),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $share = StandardAtmosphere::pressureShare($in->number('altitude_m'));

        return [
            'pressure_share' => $share,
            'density_share' => StandardAtmosphere::densityShare($in->number('altitude_m')),
            'sea_level_psi' => $in->number('gauge_psi') / $share,
        ];
    }
}
