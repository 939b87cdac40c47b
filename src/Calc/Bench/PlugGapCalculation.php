<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Topic;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Spec\SpecFigure;

#[AsCalculation('plug-gap', Topic::Spark)]
final class PlugGapCalculation extends FeelerGapCalculation
{
    protected function gap(): Gap
    {
        return Gap::Plug;
    }

    protected function limits(): array
    {
        return [SpecFigure::PlugGapLeast, SpecFigure::PlugGapMost];
    }
}
