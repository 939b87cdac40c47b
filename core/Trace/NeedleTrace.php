<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

/**
 * Pressure pumped on a carburetor's inlet, over time: where the needle lifts, where it seats again, and whether it holds
 * ({@see NeedleReading} judges).
 */
final readonly class NeedleTrace
{
    /** A fall so large within so short a time is the needle lifting, not leaking. */
    private const DROP_PSI = 0.5;
    private const DROP_WITHIN = 0.3;

    /** Less within that time is nothing that was done to it. */
    private const STILL_PSI = self::DROP_PSI / 2;

    /** s before the needle lifts: within them a hand was at the pump. */
    private const PUMPED_WITHIN = 2.0;

    /** Bins around a top that smoothing took samples from, and how much further than its last climb it can have gone. */
    private const AROUND_TOP = 1.5;
    private const CLIMBS_ON = 1.2;

    /** Smoothing makes neighbours alike, so that their scatter understates the error so many times. */
    private const UNDERSTATED = 3;

    /** Errors that a slope stands from nothing before it is a fall. */
    private const ERRORS_TO_FALL = 2;

    private const SECONDS_A_MINUTE = 60;

    /** Below this nothing is held. */
    private const EMPTY_PSI = 1.0;

    /** From here on somebody was pumping in earnest. */
    private const PUMPED_PSI = 3.0;

    /** s: shorter stretches say nothing of holding. */
    private const LEAST_HOLD = 5.0;
    private const LEAST_SAMPLES = 5;

    /** Bins of 20 ms: finer than any hand pumps, coarse enough for 200 000 samples. */
    private const BIN = 0.02;

    private function __construct(
        public Series $series,
        public NeedleVerdict $verdict,
        public Pressure $peak,
        public ?TracePoint $popOff,
        public ?TracePoint $reseat,
        /** Where it was left alone longest. */
        public ?TracePoint $holdFrom,
        public ?TracePoint $holdTo,
        /** In a minute at the pace of the hold; negative when it rose. */
        public ?Pressure $lossPerMinute,
        /** What the scatter of the samples leaves of that. */
        public ?Pressure $lossError,
        public ?Duration $halfLife,
    ) {
    }

    /**
     * @param Series        $pressures Pa
     * @param Pressure|null $strict    loss in a minute up to which it holds, 0.05 to 1 psi; null: 0.3 psi
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when the strict loss is outside that
     */
    public static function fromPressures(Series $pressures, ?Pressure $strict = null): self
    {
        $strict ??= Pressure::psi(NeedleReading::STRICT_LOSS_PSI);
        $step = $pressures->step();
        $bins = $pressures->binned(max(self::BIN, $step))->smoothed();
        $psi = array_map(static fn (float $pascals): float => PressureUnit::Psi->fromSi($pascals), $bins->values);
        // As it was sampled: a bin takes the tip off. What stood out alone was the gauge's.
        $sampled = $pressures->despiked()->values;
        $peak = PressureUnit::Psi->fromSi(max([0.0, ...$sampled]));
        $steep = self::steepness($bins->times, $psi);
        $popIndex = self::popIndex($bins->times, $psi, $steep);
        $hold = self::hold($bins->times, $psi, $steep, $popIndex);
        $point = static fn (?int $index): ?TracePoint => null === $index ? null : new TracePoint($bins->times[$index], $bins->values[$index]);
        // The first hold after the needle lifted is where it has seated again.
        $reseat = null === $popIndex ? null : self::firstQuiet($steep, $popIndex);
        $line = null === $hold ? null : Statistics::line($bins->between(...$hold));
        $popOff = null === $popIndex ? null : self::top($pressures, $bins, $popIndex, max(self::BIN, $step));
        $loss = null === $line ? null : Pressure::of(-self::SECONDS_A_MINUTE * $line['slope'], PressureUnit::Pascal);

        return new self(
            $pressures,
            self::judge($bins, $psi, $peak, $popOff, $hold, $line, $strict),
            Pressure::psi($peak),
            $popOff,
            $point($reseat),
            $point($hold[0] ?? null),
            $point($hold[1] ?? null),
            $loss,
            null === $line ? null : Pressure::of(self::SECONDS_A_MINUTE * $line['error'], PressureUnit::Pascal),
            self::halfLife($bins, $hold),
        );
    }

    /**
     * Smoothing takes the tip off a peak; the samples around it give it back, a spike beyond belief left out.
     *
     * @param float $width s
     */
    private static function top(Series $pressures, Series $bins, int $popIndex, float $width): TracePoint
    {
        [$time, $value] = [$bins->times[$popIndex], $bins->values[$popIndex]];
        $top = new TracePoint($time, $value);
        // No higher than the pump was climbing towards.
        $climb = $value - ($bins->values[$popIndex - 1] ?? $value);
        $most = $value + max(PressureUnit::Psi->toSi(self::DROP_PSI), self::CLIMBS_ON * $climb);
        foreach ($pressures->times as $index => $then) {
            if ($then > $time + self::AROUND_TOP * $width) {
                break;
            }
            if ($then >= $time - self::AROUND_TOP * $width && $pressures->values[$index] > $top->value && $pressures->values[$index] <= $most) {
                $top = new TracePoint($then, $pressures->values[$index]);
            }
        }

        return $top;
    }

    /** Of the exponential p = p₀·e^(−t/τ): τ. */
    public function timeConstant(): ?Duration
    {
        return $this->halfLife?->times(1 / log(2));
    }

    /** The hold was shorter than the minute it is judged for. */
    public function isExtrapolated(): bool
    {
        return null !== $this->holdFrom && null !== $this->holdTo && $this->holdTo->time - $this->holdFrom->time < self::SECONDS_A_MINUTE;
    }

    /**
     * @param list<float>                                          $psi
     * @param array{int, int}|null                                 $hold
     * @param array{slope: float, level: float, error: float}|null $line of the hold
     */
    private static function judge(Series $bins, array $psi, float $peak, ?TracePoint $popOff, ?array $hold, ?array $line, Pressure $strict): NeedleVerdict
    {
        if ($bins->count() < self::LEAST_SAMPLES || $peak < self::EMPTY_PSI) {
            return NeedleVerdict::NotEnough;
        }
        if (null === $popOff && $peak > NeedleReading::STIFF_FROM_PSI) {
            return NeedleVerdict::NoPopOff;
        }
        if (null === $hold || null === $line) {
            // It was pumped up, and nothing stayed long enough to be called a hold.
            $last = $psi[\count($psi) - 1];

            return ($peak >= self::PUMPED_PSI || null !== $popOff) && $last < self::EMPTY_PSI && $bins->duration() >= self::LEAST_HOLD ? NeedleVerdict::Leaks : NeedleVerdict::NotEnough;
        }

        return NeedleReading::onTrace(
            null === $popOff ? null : Pressure::of($popOff->value, PressureUnit::Pascal),
            Pressure::psi($psi[$hold[0]]),
            Pressure::of(-self::SECONDS_A_MINUTE * $line['slope'], PressureUnit::Pascal),
            Pressure::of(self::UNDERSTATED * self::SECONDS_A_MINUTE * $line['error'], PressureUnit::Pascal),
        )->verdict($strict);
    }

    /**
     * For each bin what the pressure did within the last 0.3 s: the largest fall or rise, psi.
     *
     * @param list<float> $times
     * @param list<float> $psi
     *
     * @return list<float> negative for a fall
     */
    private static function steepness(array $times, array $psi): array
    {
        $steep = [];
        $from = 0;
        foreach ($psi as $index => $here) {
            while ($from < $index - 1 && $times[$index] - $times[$from] > self::DROP_WITHIN) {
                ++$from;
            }
            $most = 0.0;
            for ($before = $from; $before < $index; ++$before) {
                if (abs($here - $psi[$before]) > abs($most)) {
                    $most = $here - $psi[$before];
                }
            }
            $steep[] = $most;
        }

        return $steep;
    }

    /**
     * The first place after pumping where pressure falls steeply; the top it fell from.
     *
     * @param list<float> $times
     * @param list<float> $psi
     * @param list<float> $steep
     */
    private static function popIndex(array $times, array $psi, array $steep): ?int
    {
        foreach ($steep as $index => $change) {
            if ($change > -self::DROP_PSI) {
                continue;
            }
            $top = $index;
            while ($top > 0 && $times[$index] - $times[$top - 1] <= 2 * self::DROP_WITHIN && $psi[$top - 1] >= $psi[$top]) {
                --$top;
            }
            // Letting the pump go after a hold falls as steeply: a needle lifts only while it is being pumped.
            if (self::wasPumped($times, $steep, $top) && $psi[$top] >= self::EMPTY_PSI + self::DROP_PSI) {
                return $top;
            }
        }

        return null;
    }

    /**
     * @param list<float> $times
     * @param list<float> $steep
     */
    private static function wasPumped(array $times, array $steep, int $top): bool
    {
        for ($index = $top; $index >= 0 && $times[$top] - $times[$index] <= self::PUMPED_WITHIN; --$index) {
            if ($steep[$index] >= self::STILL_PSI) {
                return true;
            }
        }

        // Sampled once a second or slower, a pump's strokes fall between the samples.
        return $top > 0 && $times[$top] - $times[$top - 1] >= self::DROP_WITHIN && $steep[$top] > 0.0;
    }

    /**
     * The longest stretch over 1 psi that nobody pumped and nothing burst, after the pop-off where there is one.
     *
     * @param list<float> $times
     * @param list<float> $psi
     * @param list<float> $steep
     *
     * @return array{int, int}|null first and last index
     */
    private static function hold(array $times, array $psi, array $steep, ?int $popIndex): ?array
    {
        $best = null;
        $start = null;
        $count = \count($psi);
        for ($index = $popIndex ?? 0; $index <= $count; ++$index) {
            $isQuiet = $index < $count && abs($steep[$index]) < self::STILL_PSI && $psi[$index] >= self::EMPTY_PSI;
            if ($isQuiet) {
                $start ??= $index;
            } elseif (null !== $start) {
                if ($times[$index - 1] - $times[$start] >= self::LEAST_HOLD && (null === $best || $times[$index - 1] - $times[$start] > $times[$best[1]] - $times[$best[0]])) {
                    $best = [$start, $index - 1];
                }
                $start = null;
            }
        }

        return $best;
    }

    /** @param list<float> $steep */
    private static function firstQuiet(array $steep, int $popIndex): ?int
    {
        for ($index = $popIndex + 1; $index < \count($steep); ++$index) {
            if ($steep[$index] <= -self::DROP_PSI) {
                for (; $index < \count($steep); ++$index) {
                    if (abs($steep[$index]) < self::STILL_PSI) {
                        return $index;
                    }
                }
            }
        }

        return null;
    }

    /** @param array{int, int}|null $hold */
    private static function halfLife(Series $bins, ?array $hold): ?Duration
    {
        if (null === $hold) {
            return null;
        }
        $part = $bins->between(...$hold);
        $line = Statistics::line(Series::fromSamples($part->times, array_map(static fn (float $pascals): float => log(max(1.0, $pascals)), $part->values)));

        // Flat within its scatter, it has none.
        return null === $line || $line['slope'] >= -self::ERRORS_TO_FALL * $line['error'] || $line['slope'] > -1e-7 ? null : Duration::seconds(log(2) / -$line['slope']);
    }
}
