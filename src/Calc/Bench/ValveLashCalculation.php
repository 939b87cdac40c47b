<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Topic;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Cylinder\GapFit;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Length;

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

    public function inputs(): array
    {
        return parent::inputs() + [
            'exhaust_mm' => $this->measured()->optional(),
            'exhaust_least_mm' => self::limit(SpecFigure::ExhaustLashLeast),
            'exhaust_most_mm' => self::limit(SpecFigure::ExhaustLashMost),
        ];
    }

    /** Intake and exhaust apart; where the book has no range of the exhaust's own, the one range is for both. */
    public function run(Given $in): Answer
    {
        if (null === $in->find('exhaust_mm', Length::class)) {
            return parent::run($in);
        }
        $intake = $this->read($in, 'measured_mm', 'spec_least_mm', 'spec_most_mm');
        $hasOwn = null !== $in->find('exhaust_least_mm', Length::class) || null !== $in->find('exhaust_most_mm', Length::class);
        $exhaust = $hasOwn ? $this->read($in, 'exhaust_mm', 'exhaust_least_mm', 'exhaust_most_mm') : $this->read($in, 'exhaust_mm', 'spec_least_mm', 'spec_most_mm');
        // The one that is off speaks for both.
        $order = [GapFit::Tight, GapFit::Wide, GapFit::HalfKnown, GapFit::Fits];
        $worse = array_search($exhaust->fit(), $order, true) < array_search($intake->fit(), $order, true) ? $exhaust->fit() : $intake->fit();

        return new Answer('both', self::tone($worse), [...self::figures($intake), ...self::figures($exhaust, 'exhaust_')], $this->findings($worse, ['gap_mm' => $intake, 'exhaust_gap_mm' => $exhaust]));
    }
}
