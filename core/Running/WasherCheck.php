<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\VolumeFlow;

/**
 * A pressure washer by gauge and bucket: a pump that gives its flow makes the pressure its nozzle asks for, so flow and
 * pressure together tell nozzle from pump (published: flow through an orifice goes with the root of the pressure; the
 * tenths allowed: common practice).
 */
final readonly class WasherCheck
{
    /** Flow and pressure within a tenth of what they should be are right. */
    private const ALLOWED = 0.10;

    /** Let go of, the gun's pressure rises by this share at the most, or the unloader does not open. */
    private const TRAPPED = 1.25;

    private function __construct(private float $flow, private float $pressure, private ?float $trapped, public float $effectiveSize)
    {
    }

    /**
     * @param VolumeFlow    $ratedFlow     0.2 to 20 US gal/min
     * @param Pressure      $ratedPressure 100 to 10 000 psi
     * @param VolumeFlow    $flow          as caught at the gun, nozzle on, 0.05 to 20 US gal/min
     * @param Pressure      $pressure      at the gauge meanwhile, 0 to 10 000 psi
     * @param Pressure|null $released      with the trigger let go; null where nobody looked
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function measured(VolumeFlow $ratedFlow, Pressure $ratedPressure, VolumeFlow $flow, Pressure $pressure, ?Pressure $released): self
    {
        (new Interval(0.2, 20.0, FlowUnit::GallonPerMinute))->demand($ratedFlow);
        (new Interval(100.0, 10_000.0, PressureUnit::Psi))->demand($ratedPressure);
        (new Interval(0.05, 20.0, FlowUnit::GallonPerMinute))->demand($flow);
        foreach ([$pressure, $released] as $one) {
            if (null !== $one) {
                (new Interval(0.0, 10_000.0, PressureUnit::Psi))->demand($one);
            }
        }
        $least = Pressure::psi(max(1.0, $pressure->inPsi()));

        return new self(
            $flow->over($ratedFlow),
            $pressure->over($ratedPressure),
            $released?->over($ratedPressure),
            $flow->in(FlowUnit::GallonPerMinute) * sqrt(4000.0 / $least->inPsi()),
        );
    }

    public function verdict(): WasherVerdict
    {
        return match (true) {
            null !== $this->trapped && $this->trapped > self::TRAPPED => WasherVerdict::UnloaderStuck,
            $this->pressure > 1 + self::ALLOWED => WasherVerdict::NozzleBlocked,
            $this->flow < 1 - self::ALLOWED => WasherVerdict::FlowLow,
            $this->pressure < 1 - self::ALLOWED => WasherVerdict::NozzleWorn,
            default => WasherVerdict::Right,
        };
    }
}
