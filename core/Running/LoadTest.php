<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\PowerUnit;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\VoltageUnit;

/**
 * A generator under one load after another: how far frequency and voltage go from what it is rated for. Of the shape of
 * its wave (harmonics) nothing is said: a meter does not show it.
 */
final readonly class LoadTest
{
    /** @param list<LoadStep> $steps by load */
    private function __construct(public array $steps, private LoadStep $none, private LoadStep $most, private Voltage $ratedVoltage, private Frequency $ratedFrequency)
    {
    }

    /**
     * @param list<LoadStep> $steps          two at the least, in any order; the first by load is the one without
     * @param Voltage        $ratedVoltage   10 to 500 V
     * @param Frequency      $ratedFrequency 40 to 70 Hz
     *
     * @throws ImpossibleAmount outside that, or with fewer than two steps
     */
    public static function ofSteps(array $steps, Voltage $ratedVoltage, Frequency $ratedFrequency): self
    {
        (new Interval(10.0, 500.0, VoltageUnit::Volt))->demand($ratedVoltage);
        (new Interval(40.0, 70.0, FrequencyUnit::Hertz))->demand($ratedFrequency);
        ImpossibleAmount::unlessBetween(\count($steps), 2, 40, 'steps');
        usort($steps, static fn (LoadStep $one, LoadStep $other): int => $one->load->in(PowerUnit::Watt) <=> $other->load->in(PowerUnit::Watt));

        [$none, $most] = [$steps[0] ?? null, $steps[\count($steps) - 1] ?? null];
        \assert(null !== $none && null !== $most);

        return new self($steps, $none, $most, $ratedVoltage, $ratedFrequency);
    }

    /** @return float (without load − under the largest) / rated, per cent (ISO 8528-5); negative where it was read faster under load */
    public function droop(): float
    {
        return 100 * $this->none->frequency->minus($this->most->frequency)->over($this->ratedFrequency);
    }

    /** @return float the farthest any step is from the rated voltage, per cent */
    public function voltageDeviation(): float
    {
        return 100 * max([0.0, ...array_map(fn (LoadStep $step): float => abs($step->voltage->over($this->ratedVoltage) - 1), $this->steps)]);
    }

    /**
     * @param float|null $recovery s until the frequency stayed where it settled, after the largest step; null where nobody timed it
     *
     * @return PerformanceClass|null the best class whose limits of droop, voltage and recovery are all met; null when not even G1
     */
    public function performanceClass(?float $recovery): ?PerformanceClass
    {
        foreach (PerformanceClass::cases() as $class) {
            [$droop] = $class->limits();
            [$voltage, $seconds] = $class->loadLimits();
            if (Edge::isAtMost(0.0, $this->droop()) && Edge::isAtMost($this->droop(), $droop) && Edge::isAtMost($this->voltageDeviation(), $voltage) && (null === $recovery || $recovery <= $seconds)) {
                return $class;
            }
        }

        return null;
    }
}
