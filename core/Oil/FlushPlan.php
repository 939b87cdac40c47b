<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/**
 * How many changes bring a thinned crankcase back: after each, the share that clings is all that is left of what was,
 * and a warm run boils off part of that (common practice; the arithmetic is plain).
 */
final readonly class FlushPlan
{
    /** The school's habit where gasoline was in the oil. */
    public const USUAL_CHANGES = 2;

    /** More means that the share left is no draining. */
    private const MOST_CHANGES = 50;

    /**
     * @param int<0, max>           $changes
     * @param non-empty-list<float> $dilution by volume: before, and after each change
     * @param Volume                $oil      fresh oil for all of them
     */
    private function __construct(public int $changes, public array $dilution, public Volume $oil)
    {
    }

    /**
     * @param float  $dilution  before, by volume, 0 to below 1
     * @param float  $left      share of a filling that stays behind at each draining, 0.01 to 0.5
     * @param float  $target    dilution to be reached, 0.001 to 0.2
     * @param float  $notBoiled share of the gasoline left that a warm run does not boil off, 0 to 1
     * @param Volume $mark      one filling
     * @param int    $atLeast   changes the school asks for whenever there was gasoline in it
     *
     * @throws ImpossibleAmount when a share is outside its interval, or no number of changes would do
     */
    public static function reach(float $dilution, float $left, float $target, float $notBoiled, Volume $mark, int $atLeast = self::USUAL_CHANGES): self
    {
        foreach ([[$dilution, 0.0, 0.999], [$left, 0.01, 0.5], [$target, 0.001, 0.2], [$notBoiled, 0.0, 1.0]] as [$share, $least, $most]) {
            if (!($share >= $least && $share <= $most)) {
                throw ImpossibleAmount::outside(100 * $share, 100 * $least, 100 * $most, '%');
            }
        }
        $steps = [$dilution];
        while (0.0 < $dilution && \count($steps) <= self::MOST_CHANGES
            && ($steps[\count($steps) - 1] > $target * (1 + 1e-12) || \count($steps) <= $atLeast)) {
            $steps[] = $steps[\count($steps) - 1] * $left * $notBoiled;
        }
        $changes = \count($steps) - 1;

        // Each refilling brings the crankcase back to the mark: what clung inside need not be poured again.
        return new self($changes, $steps, $mark->times($changes * (1 - $left)));
    }

    /**
     * What clings at a draining, measured: what a refilling to the mark did not need.
     *
     * @param Volume $mark   one filling, 50 mL to 10 L
     * @param Volume $refill what brought it back to the mark, from half a filling up to one
     *
     * @return float as a share of a filling
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function leftShare(Volume $mark, Volume $refill): float
    {
        (new Interval(50.0, 10_000.0, VolumeUnit::Millilitre))->demand($mark);
        (new Interval(0.5 * $mark->inMillilitres(), $mark->inMillilitres(), VolumeUnit::Millilitre))->demand($refill);

        return $mark->minus($refill)->over($mark);
    }

    /**
     * @param Duration $each one change: drain, refill and the run that warms it, 0 to 8 h
     *
     * @throws ImpossibleAmount outside that
     */
    public function time(Duration $each): Duration
    {
        (new Interval(0.0, 8.0, DurationUnit::Hour))->demand($each);

        return $each->times($this->changes);
    }
}
