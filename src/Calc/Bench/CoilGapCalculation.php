<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Topic;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Spec\SpecFigure;

final class CoilGapCalculation extends FeelerGapCalculation
{
    public function name(): string
    {
        return 'coil-gap';
    }

    public function topic(): Topic
    {
        return Topic::Spark;
    }

    protected function gap(): Gap
    {
        return Gap::CoilAir;
    }

    protected function limits(): array
    {
        return [SpecFigure::CoilGapLeast, SpecFigure::CoilGapMost];
    }

    public function act(): string
    {
        return 'spark.coil_gap';
    }
}
