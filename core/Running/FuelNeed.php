<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;

/** What an engine drinks at a speed, and whether a measured flow feeds it. */
final readonly class FuelNeed
{
    /** Air taken in for each volume swept, air density and mass of air to one of fuel (common practice). */
    private const FILLING = 0.75;

    /** A two-stroke traps less of what it takes in, and loses mixture through the port: what is fed counts, not what burns (common practice). */
    private const DELIVERY = 0.70;
    private const AIR_DENSITY = 1.2;
    private const AIR_TO_FUEL = 13.0;

    /** kg/m³ (common practice). */
    private const GASOLINE_DENSITY = 745.0;

    /** A free flow should exceed the need so many times (common practice). */
    private const AMPLE = 3.0;

    private function __construct(private float $kilogramsPerMinute)
    {
    }

    /**
     * ṁ = V·(n/2)·η·ρ/AFR of a four-stroke, which fills every other turn; a two-stroke fills at every turn, by its delivery ratio.
     *
     * @param Volume     $displacement 10 to 2000 cm³
     * @param ShaftSpeed $speed        500 to 15 000 rpm
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function atSpeed(Volume $displacement, ShaftSpeed $speed, Cycle $cycle = Cycle::FourStroke): self
    {
        (new Interval(10.0, 2000.0, VolumeUnit::CubicCentimetre))->demand($displacement);
        (new Interval(500.0, 15_000.0, SpeedUnit::Rpm))->demand($speed);

        return new self($displacement->in(VolumeUnit::CubicCentimetre) * 1e-6 * $speed->in(SpeedUnit::Rpm) * (Cycle::TwoStroke === $cycle ? self::DELIVERY : self::FILLING / 2) * self::AIR_DENSITY / self::AIR_TO_FUEL);
    }

    public function gramsPerMinute(): float
    {
        return 1000 * $this->kilogramsPerMinute;
    }

    public function flow(): VolumeFlow
    {
        return VolumeFlow::of(1e6 * $this->kilogramsPerMinute / self::GASOLINE_DENSITY, FlowUnit::MillilitrePerMinute);
    }

    /**
     * @param VolumeFlow $measured 0 to 20 L/min
     *
     * @throws ImpossibleAmount outside that
     */
    public function metBy(VolumeFlow $measured): FlowVerdict
    {
        (new Interval(0.0, 20_000.0, FlowUnit::MillilitrePerMinute))->demand($measured);
        $times = $measured->over($this->flow());

        return match (true) {
            $times < 1.0 => FlowVerdict::Starves,
            $times < self::AMPLE => FlowVerdict::Scant,
            default => FlowVerdict::Ample,
        };
    }
}
