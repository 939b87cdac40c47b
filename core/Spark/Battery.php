<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spark;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\VoltageUnit;

/** A twelve-volt lead battery by the voltmeter: rested, while it cranks, and while the engine charges it (common practice). */
final readonly class Battery
{
    /** Rested for hours at about 20 °C: volts from which it is so full. */
    private const CHARGE = [[12.65, 1.0], [12.45, 0.75], [12.24, 0.5], [12.06, 0.25], [11.89, 0.0]];

    /** Below it after a night's charge, a cell is gone. */
    private const DEAD_BELOW = 10.5;

    private const GOOD_FROM = 12.45;
    private const CRANKS_FROM = 9.6;
    private const CHARGES = [13.7, 14.8];

    private function __construct(private float $rested, private ?float $cranking, private ?float $charging)
    {
    }

    /**
     * @param Voltage      $rested   0 to 16 V
     * @param Voltage|null $cranking 0 to 16 V; null where it was not cranked
     * @param Voltage|null $charging 0 to 20 V, engine at governed speed; null where it was not run
     *
     * @throws ImpossibleAmount outside that
     */
    public static function measured(Voltage $rested, ?Voltage $cranking, ?Voltage $charging): self
    {
        foreach ([[$rested, 16.0], [$cranking, 16.0], [$charging, 20.0]] as [$voltage, $most]) {
            if (null !== $voltage) {
                (new Interval(0.0, $most, VoltageUnit::Volt))->demand($voltage);
            }
        }

        return new self($rested->inVolts(), $cranking?->inVolts(), $charging?->inVolts());
    }

    /** @return float how full it is, 0 to 1, drawn straight between the points */
    public function charge(): float
    {
        if ($this->rested >= self::CHARGE[0][0]) {
            return 1.0;
        }
        for ($n = 1; $n < \count(self::CHARGE); ++$n) {
            [[$high, $more], [$low, $less]] = [self::CHARGE[$n - 1], self::CHARGE[$n]];
            if ($this->rested >= $low) {
                return $less + ($this->rested - $low) / max(0.01, $high - $low) * ($more - $less);
            }
        }

        return 0.0;
    }

    public function verdict(): BatteryVerdict
    {
        return match (true) {
            $this->rested < self::DEAD_BELOW => BatteryVerdict::Dead,
            null !== $this->charging && $this->charging > self::CHARGES[1] => BatteryVerdict::Overcharged,
            null !== $this->charging && $this->charging < self::CHARGES[0] => BatteryVerdict::NotCharged,
            $this->rested < self::GOOD_FROM => BatteryVerdict::Low,
            null !== $this->cranking && $this->cranking < self::CRANKS_FROM => BatteryVerdict::SagsCranking,
            default => BatteryVerdict::Good,
        };
    }
}
