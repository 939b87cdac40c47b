<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Topic;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Spec\SpecFigure;

#[AsCalculation('coil-gap', Topic::Spark, 'spark.coil_gap')]
final class CoilGapCalculation extends FeelerGapCalculation
{
    protected function gap(): Gap
    {
        return Gap::CoilAir;
    }

    protected function limits(): array
    {
        return [SpecFigure::CoilGapLeast, SpecFigure::CoilGapMost];
    }
}
