<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Carburetor\JetBore;
use AwakeShed\Core\Carburetor\NumberDrills;
use AwakeShed\Core\Running\StandardAtmosphere;

final class JetCalculation implements Calculation
{
    public function name(): string
    {
        return 'jet';
    }

    public function about(): string
    {
        return 'A jet bore as a number drill, the widest wire for it, the next drill up and what it would do, and the bore for another altitude.';
    }

    public function source(): string
    {
        return 'Orifice relation (published); number drills: ASME B94.11M (published); air: International Standard Atmosphere (published); wire share: common practice.';
    }

    public function inputs(): array
    {
        return [
            'bore_mm' => new CalcInput('Bore of the jet', 'mm', 0.1, 5),
            'altitude_m' => new CalcInput('Where it will run, above where it was right', 'm', -500, 5_000, 0),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $drills = NumberDrills::shipped();
        $bore = JetBore::of($in->millimetres('bore_mm'));
        $next = $drills->nextAbove($bore->diameter);
        $wider = null === $next ? null : $drills->diameter($next);

        return [
            'nearest_drill' => $drills->nearest($bore->diameter),
            'widest_wire_mm' => $bore->widestWire()->inMillimetres(),
            'next_drill' => $next,
            'next_drill_mm' => $wider?->inMillimetres(),
            'next_drill_flow' => null === $wider ? null : $bore->flowInto(JetBore::of($wider)),
            'bore_at_altitude_mm' => $bore->forAir(StandardAtmosphere::densityShare($in->number('altitude_m')))->diameter->inMillimetres(),
        ];
    }
}
