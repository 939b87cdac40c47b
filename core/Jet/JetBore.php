<?php

declare(strict_types=1);

namespace AwakeShed\Core\Jet;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/** The bore of a jet. Published: flow through an orifice is proportional to its area, Q = C_d·A·√(2Δp/ρ). */
final readonly class JetBore
{
    /** Half-width of a bore read with drills or pin gauges, mm (common practice). */
    public const READING_ERROR_MM = 0.01;

    /** Jets numbered by their bore count hundredths of a millimetre (common practice). */
    public const NUMBERS_A_MILLIMETRE = 100;

    /** Metric drills come every five hundredths (ISO 235 stocks the tenths and their halves; common practice). */
    private const METRIC_STEP_MM = 0.05;

    /** A wire clears a jet without cutting it up to this share of the bore (common practice). */
    private const WIRE_SHARE = 0.90;

    private function __construct(public Length $diameter)
    {
    }

    /** @throws ImpossibleAmount unless 0.1 to 5 mm */
    public static function ofDiameter(Length $diameter): self
    {
        (new Interval(0.1, 5.0, LengthUnit::Millimetre))->demand($diameter);

        return new self($diameter);
    }

    /** @return float what becomes of the area, and so of the flow, in the other bore: 1 for none, 1.266 for 26.6 % more */
    public function flowInto(self $other): float
    {
        return $other->diameter->over($this->diameter) ** 2;
    }

    /**
     * @param Length $error half-width of this bore
     *
     * @return float half-width of {@see flowInto()}
     */
    public function flowError(self $other, Length $error): float
    {
        // The slope of (other/bore)² is twice itself over the bore.
        return 2 * $this->flowInto($other) * $error->over($this->diameter);
    }

    /**
     * The bore that keeps the mixture where the air is thinner or denser: the venturi's depression gives √ρ of it by
     * itself, so the area follows √(ρ/ρ₀) and the bore its root (published, the orifice relation twice).
     *
     * @param float $density of the air as a share of where the jet was right, 0.5 to 1.5
     *
     * @throws ImpossibleAmount outside that
     */
    public function forAir(float $density): self
    {
        ImpossibleAmount::unlessBetween($density, 0.5, 1.5, ': 1');

        return new self($this->diameter->times($density ** 0.25));
    }

    public function nearestMetricDrill(): Length
    {
        return Length::millimetres(round($this->diameter->inMillimetres() / self::METRIC_STEP_MM) * self::METRIC_STEP_MM);
    }

    /** Wider than this, a wire may cut the bore. */
    public function widestWire(): Length
    {
        return $this->diameter->times(self::WIRE_SHARE);
    }
}
