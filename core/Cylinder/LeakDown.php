<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\Share;

/** A leak-down test: air let into the closed cylinder through a small hole, and how much less stands behind it. */
final readonly class LeakDown
{
    private const GOOD_BELOW = 0.10;
    private const USABLE_BELOW = 0.20;
    private const FIND_IT_ABOVE = 0.25;

    private function __construct(public Share $share, /** What the gauges' error leaves. */ public Share $halfWidth)
    {
    }

    /**
     * (regulated − cylinder) / regulated.
     *
     * @param Pressure $regulated before the hole, 5 to 150 psi
     * @param Pressure $cylinder  behind it, 0 up to the regulated pressure and the gauges' error
     * @param Pressure $error     half-width of either gauge, 0 to 20 psi
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function read(Pressure $regulated, Pressure $cylinder, Pressure $error): self
    {
        (new Interval(5.0, 150.0, PressureUnit::Psi))->demand($regulated);
        (new Interval(0.0, 20.0, PressureUnit::Psi))->demand($error);
        (new Interval(0.0, $regulated->plus($error)->inPsi(), PressureUnit::Psi))->demand($cylinder);
        $held = $cylinder->over($regulated);

        return new self(
            Share::fraction(max(0.0, 1 - $held)),
            // Two gauges, each off by the error, taken as independent.
            Share::fraction($error->over($regulated) * sqrt(1 + $held ** 2)),
        );
    }

    /** The worst it may be within the gauges' error: nothing is called good that may not be. */
    public function band(): LeakDownBand
    {
        return self::forShare($this->share->asFraction() + $this->halfWidth->asFraction());
    }

    /** The best it may be. */
    public function bestBand(): LeakDownBand
    {
        return self::forShare($this->share->asFraction() - $this->halfWidth->asFraction());
    }

    private static function forShare(float $lost): LeakDownBand
    {
        // 90 of 100 psi is a tenth lost, though a machine reckons it a hair less.
        $share = round($lost, 9);

        return match (true) {
            $share < self::GOOD_BELOW => LeakDownBand::Good,
            $share < self::USABLE_BELOW => LeakDownBand::Usable,
            $share <= self::FIND_IT_ABOVE => LeakDownBand::Worn,
            default => LeakDownBand::FindIt,
        };
    }
}
