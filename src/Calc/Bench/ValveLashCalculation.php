<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Topic;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Length;

#[AsCalculation('valve-lash', Topic::Cylinder, 'valve.lash')]
final class ValveLashCalculation extends FeelerGapCalculation
{
    protected function gap(): Gap
    {
        return Gap::ValveLash;
    }

    protected function limits(): array
    {
        return [SpecFigure::LashLeast, SpecFigure::LashMost];
    }

    protected function others(): array
    {
        return ['exhaust_' => 'exhaust_mm', 'other_' => 'other_mm', 'other_exhaust_' => 'other_exhaust_mm'];
    }

    /** Intake and exhaust apart; where the book has no range of the exhaust's own, the one range is for both. */
    protected function rangeOf(string $reading, Given $in): array
    {
        $hasOwn = null !== $in->find('exhaust_least_mm', Length::class) || null !== $in->find('exhaust_most_mm', Length::class);

        return $hasOwn && str_ends_with($reading, 'exhaust_') ? ['exhaust_least_mm', 'exhaust_most_mm'] : parent::rangeOf($reading, $in);
    }

    protected function asks(): array
    {
        return parent::asks() + [
            'exhaust_least_mm' => self::limit(SpecFigure::ExhaustLashLeast),
            'exhaust_most_mm' => self::limit(SpecFigure::ExhaustLashMost),
        ];
    }
}
