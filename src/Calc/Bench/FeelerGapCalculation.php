<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Cylinder\FeelerGap;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Cylinder\GapFit;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/** A gap read with a feeler; which gap it is, and how the spec book calls its limits, each kind says. */
abstract class FeelerGapCalculation implements Calculation
{
    use Described;

    private const WORST_FIRST = [GapFit::Tight, GapFit::Wide, GapFit::HalfKnown, GapFit::Fits];

    abstract protected function gap(): Gap;

    /** @return array{SpecFigure, SpecFigure} least and most */
    abstract protected function limits(): array;

    /** @return array<string, string> every reading beside the first, by the words before its figures: the input it comes from */
    protected function others(): array
    {
        return ['other_' => 'other_mm'];
    }

    /** @return array{string, string} the inputs that hold the range of a reading */
    protected function rangeOf(string $reading, Given $in): array
    {
        return ['spec_least_mm', 'spec_most_mm'];
    }

    protected function asks(): array
    {
        [$least, $most] = $this->limits();

        return [
            'measured_mm' => $this->measured(),
            'spec_least_mm' => self::limit($least),
            'spec_most_mm' => self::limit($most),
        ] + array_fill_keys(array_values($this->others()), $this->measured()->optional());
    }

    /** Of a twin both cylinders, and each gap by itself: the one that is off speaks for all. */
    final public function run(Given $in): Answer
    {
        $first = $this->read($in, 'measured_mm', 'spec_least_mm', 'spec_most_mm');
        $figures = self::figures($first);
        [$read, $worst] = [['gap_mm' => $first], $first->fit()];
        foreach ($this->others() as $before => $input) {
            $other = null === $in->find($input, Length::class) ? null : $this->read($in, $input, ...$this->rangeOf($before, $in));
            $figures[] = Figure::word($before.'fit', $other?->fit(), 'gap_fit');
            if (null !== $other) {
                $figures = [...$figures, ...array_values(array_filter(self::figures($other, $before), static fn (Figure $figure): bool => $before.'fit' !== $figure->key))];
                $read[$before.'gap_mm'] = $other;
                $worst = array_search($other->fit(), self::WORST_FIRST, true) < array_search($worst, self::WORST_FIRST, true) ? $other->fit() : $worst;
            }
        }

        return new Answer(1 === \count($read) ? self::verdict($first) : 'several', self::tone($worst), $figures, $this->findings($worst, $read));
    }

    /** A third of the least to twice the most that is usual: further off it is asked whether another unit was meant. */
    private function measured(): AmountInput
    {
        [$least, $most] = $this->gap()->usual();

        return AmountInput::between(Measure::FeelerGap, LengthUnit::Millimetre, 0, 5)->usually($least / 3, 2 * $most);
    }

    final protected static function limit(SpecFigure $figure): AmountInput
    {
        return AmountInput::between(Measure::FeelerGap, LengthUnit::Millimetre, 0, 5)->optional()->inSpecBook($figure);
    }

    private function read(Given $in, string $measured, string $least, string $most): FeelerGap
    {
        return FeelerGap::read($this->gap(), $in->get($measured, Length::class), $in->find($least, Length::class), $in->find($most, Length::class));
    }

    private static function verdict(FeelerGap $read): string
    {
        return $read->fit()->value.($read->isUnverified ? '_unverified' : '');
    }

    private static function tone(GapFit $fit): VerdictTone
    {
        return match ($fit) {
            GapFit::Fits => VerdictTone::Good,
            GapFit::HalfKnown => VerdictTone::Ask,
            GapFit::Tight, GapFit::Wide => VerdictTone::Bad,
        };
    }

    /** @return list<Figure> in both units a feeler is marked in */
    private static function figures(FeelerGap $read, string $before = ''): array
    {
        return [
            Figure::number($before.'least_mm', $read->least?->inMillimetres(), 3),
            Figure::number($before.'most_mm', $read->most?->inMillimetres(), 3),
            Figure::number($before.'least_thou', $read->least?->in(LengthUnit::Thou), 1),
            Figure::number($before.'most_thou', $read->most?->in(LengthUnit::Thou), 1),
            Figure::amount($before.'to_middle_mm', $read->toMiddle(), LengthUnit::Millimetre, Measure::FeelerGap),
            Figure::amount($before.'thou', $read->measured, LengthUnit::Thou, Measure::FeelerGap),
            Figure::word($before.'fit', $read->fit(), 'gap_fit'),
            Figure::yesNo($before.'unverified', $read->isUnverified),
        ];
    }

    /**
     * @param array<string, FeelerGap> $read by the name it is kept under
     *
     * @return list<Finding> none where the range is only half known: that is no finding yet
     */
    private function findings(GapFit $fit, array $read): array
    {
        $test = $this->act();

        return null === $test || GapFit::HalfKnown === $fit ? [] : [Finding::observed($test, GapFit::Fits === $fit ? 'in_range' : 'out_of_range')
            ->measuring(array_map(static fn (FeelerGap $gap): float => round($gap->measured->inMillimetres(), 3), $read))];
    }
}
