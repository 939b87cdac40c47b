<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Topic;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Spec\SpecFigure;

final class ValveLashCalculation extends FeelerGapCalculation
{
    public function name(): string
    {
        return 'valve-lash';
    }

    public function topic(): Topic
    {
        return Topic::Cylinder;
    }

    protected function gap(): Gap
    {
        return Gap::ValveLash;
    }

    protected function limits(): array
    {
        return [SpecFigure::LashLeast, SpecFigure::LashMost];
    }

    public function act(): string
    {
        return 'valve.lash';
    }
}
