<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

/** A two-stroke's crankcase closed up and pumped: a leak is air where fuel should be, and a seized piston (common practice). */
final readonly class CrankcaseTest
{
    /** Past this its own seals are pushed out. */
    public const MOST_PSI = 9.0;

    /** In a minute, psi. */
    private const MOST_LOSS = 0.5;

    private function __construct(public Pressure $lossPerMinute, public Pressure $error)
    {
    }

    /**
     * @param Pressure $start 2 to 9 psi
     * @param Pressure $end   0 psi to the start and the error
     * @param Duration $time  10 s to 30 min
     * @param Pressure $gauge half-width of either reading, 0 to 1 psi
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function pumped(Pressure $start, Pressure $end, Duration $time, Pressure $gauge): self
    {
        (new Interval(2.0, self::MOST_PSI, PressureUnit::Psi))->demand($start);
        (new Interval(0.0, 1.0, PressureUnit::Psi))->demand($gauge);
        (new Interval(0.0, $start->plus($gauge)->inPsi(), PressureUnit::Psi))->demand($end);
        (new Interval(10.0, 1800.0, DurationUnit::Second))->demand($time);
        $minutes = $time->in(DurationUnit::Minute);

        return new self($start->minus($end)->times(1 / $minutes), $gauge->times(\M_SQRT2 / $minutes));
    }

    /** @return bool|null whether it is tight; null where the gauge cannot tell in that time */
    public function isTight(): ?bool
    {
        return match (true) {
            $this->lossPerMinute->plus($this->error)->inPsi() <= self::MOST_LOSS => true,
            $this->lossPerMinute->minus($this->error)->inPsi() > self::MOST_LOSS => false,
            default => null,
        };
    }
}
