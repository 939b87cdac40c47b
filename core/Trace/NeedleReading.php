<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

/**
 * Where a needle lifts, where it seats again and what it loses in a minute, read off a hand gauge or found on a trace.
 *
 * Common practice: it lifts at 7 to 8 psi, seats, and holds 5 psi or more without falling. That less than 0.3 psi lost
 * in a minute is holding is this project's own strict reading (invented, adjustable).
 */
final readonly class NeedleReading
{
    public const STRICT_LOSS_PSI = 0.3;

    /** Past this it is too stiff, or stuck (common practice). */
    public const STIFF_FROM_PSI = 10.0;

    /** Beyond this in a minute a needle is no longer slow but leaking (common practice, drawn). */
    private const LEAK_LOSS_PSI = 1.0;

    private const HOLD_FROM_PSI = 5.0;

    /** How near a hand gauge is read, psi (common practice). */
    public const GAUGE_ERROR_PSI = 0.1;

    /**
     * @param Pressure|null $popOff where it lifted; null where that was not seen
     * @param Pressure      $held   where it seated, and was left alone
     * @param Pressure      $loss   in a minute; negative when it rose
     * @param Pressure      $error  half-width of the loss
     */
    private function __construct(public ?Pressure $popOff, public Pressure $held, public Pressure $loss, public Pressure $error)
    {
    }

    /**
     * By a hand gauge and a watch.
     *
     * @param Pressure|null $popOff      0 to 60 psi
     * @param Pressure      $seats       0 to 60 psi
     * @param Pressure      $afterMinute 0 to 60 psi
     * @param Pressure      $gauge       half-width of each reading, 0 to 2 psi
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount outside that, or where it seats higher than it lifted beyond the error
     */
    public static function byGauge(?Pressure $popOff, Pressure $seats, Pressure $afterMinute, Pressure $gauge): self
    {
        $bounds = new Interval(0.0, 60.0, PressureUnit::Psi);
        foreach ([$popOff, $seats, $afterMinute] as $reading) {
            if (null !== $reading) {
                $bounds->demand($reading);
            }
        }
        (new Interval(0.0, 2.0, PressureUnit::Psi))->demand($gauge);
        if (null !== $popOff) {
            (new Interval(0.0, $popOff->plus($gauge)->inPsi(), PressureUnit::Psi))->demand($seats);
        }

        return new self($popOff, $seats, $seats->minus($afterMinute), $gauge->times(\M_SQRT2));
    }

    public static function onTrace(?Pressure $popOff, Pressure $held, Pressure $loss, Pressure $error): self
    {
        return new self($popOff, $held, $loss, $error);
    }

    /**
     * @param Pressure $strict loss in a minute up to which it holds, 0.05 to 1 psi
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount outside that
     */
    public function verdict(Pressure $strict): NeedleVerdict
    {
        (new Interval(0.05, 1.0, PressureUnit::Psi))->demand($strict);
        $lost = $this->loss->inPsi();
        $afterMinute = $this->held->inPsi() - max(0.0, $lost);

        return match (true) {
            $lost > self::LEAK_LOSS_PSI => NeedleVerdict::Leaks,
            $lost > $strict->inPsi() => NeedleVerdict::Marginal,
            // Nobody's needle pumps by itself; what rose may have hidden what was lost.
            -$lost > max($strict->inPsi(), $this->error->inPsi()) => NeedleVerdict::Rises,
            $afterMinute < self::HOLD_FROM_PSI - $strict->inPsi() => NeedleVerdict::HoldsTooLow,
            null === $this->popOff => NeedleVerdict::HoldsPopOffUnknown,
            $this->popOff->inPsi() > self::STIFF_FROM_PSI => NeedleVerdict::LiftsHigh,
            default => NeedleVerdict::Seals,
        };
    }
}
