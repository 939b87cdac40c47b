<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Topic;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Spec\SpecFigure;

final class PlugGapCalculation extends FeelerGapCalculation
{
    public function name(): string
    {
        return 'plug-gap';
    }

    public function topic(): Topic
    {
        return Topic::Spark;
    }

    protected function gap(): Gap
    {
        return Gap::Plug;
    }

    protected function limits(): array
    {
        return [SpecFigure::PlugGapLeast, SpecFigure::PlugGapMost];
    }

    public function act(): null
    {
        return null;
    }
}
