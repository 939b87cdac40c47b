<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;

final class HydrolockCalculation implements Calculation
{
    public function name(): string
    {
        return 'hydrolock';
    }

    public function about(): string
    {
        return 'Liquid in a cylinder against the room left above the piston, and how long a dripping needle takes to fill it.';
    }

    public function source(): string
    {
        return 'Geometry of the cylinder; size of a drop: common practice.';
    }

    public function inputs(): array
    {
        return [
            'displacement_cc' => new CalcInput('Swept volume of the cylinder', 'cm³', 10, 2_000),
            'compression_ratio' => new CalcInput('Compression ratio, dry', '1', 3, 20),
            'liquid_ml' => new CalcInput('Liquid in it', 'mL', 0, 3_000, 0),
            'drops_per_minute' => new CalcInput('What the needle lets through', '1/min', 0.01, 600, 6),
            'drop_ml' => new CalcInput('One drop', 'mL', 0.01, 0.1, 0.025),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $cylinder = Hydrolock::in($in->millilitres('displacement_cc'), Ratio::of($in->number('compression_ratio'), RatioUnit::ToOne), $in->millilitres('liquid_ml'));

        return [
            'clearance_ml' => $cylinder->clearance->inMillilitres(),
            'locked' => $cylinder->isLocked(),
            'effective_compression' => $cylinder->effectiveCompression()?->in(RatioUnit::ToOne),
            'minutes_to_fill' => $cylinder->timeToFill($in->number('drops_per_minute'), $in->millilitres('drop_ml'))->in(DurationUnit::Minute),
        ];
    }
}
