<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

use AwakeShed\Core\Running\PerformanceClass;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

/**
 * Engine speed over time: mean, swing, beat, and with a load put on or taken off on the way, the droop.
 *
 * Common practice: a swing of more than 5 % of the mean with a beat of 0.5 to 5 s is hunting. Droop and band against
 * ISO 8528-5 (published), for generators.
 */
final readonly class SpeedTrace
{
    private const HUNTS_FROM = 0.05;
    private const BEAT = [0.5, 5.0];

    /** How alike a swing must be one beat later to be called a beat. */
    private const ALIKE = 0.3;

    private const LEAST_SAMPLES = 20;

    /** Fewer in a beat miss so much of its tips that a hunt may pass for steady: at four, a third is lost at the worst. */
    private const SAMPLES_A_BEAT = 4;

    /** s: shorter runs show no beat. */
    private const LEAST_RUN = 5.0;

    /** Below this share of the running speed it is being cranked, started or stopped. */
    private const RUNNING_FROM = 0.7;

    /** s after a start, or before a stop, that are the starter's and the throttle's. */
    private const SETTLES = 1.0;

    /** Two levels further apart than this share are a load put on or taken off. */
    private const STEP_FROM = 0.01;

    /** s around a step that are the governor's, not the swing's. */
    private const GOVERNOR_TAKES = 2.0;

    /** A level lasts so many samples, and such a part of the run, or the end of a swing would be one. */
    private const LEAST_LEVEL = 5;
    private const PARTS_OF_A_RUN = 8;

    /** From the one to the other a swing is measured: a sample in two hundred at either end may be the gauge's. */
    private const TAILS = [0.005, 0.995];

    /** Half of all samples lie between, and a run is at its speed for the upper quarter. */
    private const QUARTERS = [0.25, 0.75];

    /** s; four samples in the shortest beat and fewer lags to try. */
    private const BIN = 0.05;
    private const LONGEST_LAG = 12.0;

    /** Bins that are looked at for a beat: five minutes. */
    private const MOST_BINS = 6000;

    private function __construct(
        public Series $series,
        public SpeedVerdict $verdict,
        public ShaftSpeed $mean,
        /** Peak to peak of what is left without drift and steps, as a share of the mean. */
        public float $swing,
        public ?Duration $beat,
        /** Where it began to run, s; 0 when the trace starts running. */
        public float $runsFrom,
        public float $runsTo,
        /** Where the load came on or off, s. */
        public ?float $stepAt,
        public ?ShaftSpeed $noLoad,
        public ?ShaftSpeed $loaded,
        /** Fastest, a spike of a sample or two left out. */
        public ShaftSpeed $fastest,
        public ?ShaftSpeed $limit,
        private ?ShaftSpeed $rated,
        /** The quickest hunt the samples could show: four of them in it. */
        public Duration $shortestSeen,
        /** The start or the stop of the engine was recorded with it, and is left out. */
        public bool $leavesPartOut,
    ) {
    }

    /**
     * @param Series          $speeds rad/s
     * @param ShaftSpeed|null $limit  it must not pass; null: none is known
     * @param ShaftSpeed|null $rated  droop is counted of; null: the speed under load
     */
    public static function fromSpeeds(Series $speeds, ?ShaftSpeed $limit = null, ?ShaftSpeed $rated = null): self
    {
        $bins = $speeds->binned(max(self::BIN, $speeds->step()))->despiked();
        [$from, $to] = self::running($bins);
        $run = $bins->between($from, $to);
        $mean = [] === $run->values ? 0.0 : array_sum($run->values) / \count($run->values);
        $rpm = static fn (float $si): ShaftSpeed => ShaftSpeed::of(SpeedUnit::Rpm->fromSi($si), SpeedUnit::Rpm);
        $step = self::step($run);
        $parts = null === $step ? [$run] : self::parted($run, $step);
        $levels = null === $step ? null : array_map(self::level(...), $parts);
        $residue = self::residue($parts, null === $step ? null : $run->times[$step]);
        $swing = $mean > 0.0 ? (Statistics::quantile($residue, self::TAILS[1]) - Statistics::quantile($residue, self::TAILS[0])) / $mean : 0.0;
        $beat = self::beat($run, $residue);
        $fastest = $rpm(Statistics::quantile($run->values, self::TAILS[1]));

        return new self(
            $speeds,
            self::judge($speeds, $run, $swing, $beat, $fastest, $limit),
            $rpm($mean),
            $swing,
            null === $beat ? null : Duration::seconds($beat),
            $run->times[0] ?? 0.0,
            $run->times[$run->count() - 1] ?? 0.0,
            null === $step ? null : $run->times[$step],
            // An engine never speeds up under load by itself: the faster level is the one without.
            null === $levels ? null : $rpm(max($levels)),
            null === $levels ? null : $rpm(min($levels)),
            $fastest,
            $limit,
            $rated,
            Duration::seconds(self::SAMPLES_A_BEAT * $speeds->step()),
            $run->count() < $bins->count(),
        );
    }

    /** @return float|null (no load − loaded) / rated, per cent, ISO 8528-5; null without a load step */
    public function droop(): ?float
    {
        return null === $this->noLoad || null === $this->loaded
            ? null
            : PerformanceClass::droop($this->noLoad, $this->loaded, $this->rated ?? $this->loaded);
    }

    /** A hunt as quick as any looked for would show. */
    public function isSampledWell(): bool
    {
        return self::showsQuickest($this->series);
    }

    private static function showsQuickest(Series $speeds): bool
    {
        return self::SAMPLES_A_BEAT * $speeds->step() <= self::BEAT[0] + 1e-6;
    }

    /** @return PerformanceClass|null null without a load step, when not even G1 is met ({@see droop()} tells which), or when a swing may have fallen between the samples */
    public function performanceClass(): ?PerformanceClass
    {
        $droop = $this->droop();

        return null === $droop || !$this->isSampledWell() ? null : PerformanceClass::metBy($droop, 100 * $this->swing);
    }

    private static function judge(Series $speeds, Series $run, float $swing, ?float $beat, ShaftSpeed $fastest, ?ShaftSpeed $limit): SpeedVerdict
    {
        return match (true) {
            $speeds->count() < self::LEAST_SAMPLES, $run->count() < self::LEAST_SAMPLES / 2 => SpeedVerdict::NotEnough,
            null !== $limit && $fastest->isGreaterThan($limit) => SpeedVerdict::Overspeeds,
            $run->duration() < self::LEAST_RUN => SpeedVerdict::NotEnough,
            $swing <= self::HUNTS_FROM => self::showsQuickest($speeds) ? SpeedVerdict::Steady : SpeedVerdict::SampledTooSlowly,
            null !== $beat && $beat >= self::BEAT[0] && $beat <= self::BEAT[1] => SpeedVerdict::Hunts,
            default => SpeedVerdict::Unsteady,
        };
    }

    /** @return array{int, int} the longest stretch that runs; an empty one of a still engine */
    private static function running(Series $bins): array
    {
        $least = self::RUNNING_FROM * Statistics::quantile($bins->values, self::QUARTERS[1]);
        $best = [0, -1];
        $start = null;
        for ($index = 0; $index <= $bins->count(); ++$index) {
            $runs = $index < $bins->count() && $bins->values[$index] > 0.0 && $bins->values[$index] >= $least;
            if ($runs) {
                $start ??= $index;
            } elseif (null !== $start) {
                if ($index - 1 - $start > $best[1] - $best[0]) {
                    $best = [$start, $index - 1];
                }
                $start = null;
            }
        }

        [$from, $to] = $best;
        $settled = static fn (int $index, int $edge): bool => $edge <= 0 || $edge >= $bins->count() - 1 || abs($bins->times[$index] - $bins->times[$edge]) >= self::SETTLES;
        [$start, $stop] = $best;
        while ($start < $to && !$settled($start, $from)) {
            ++$start;
        }
        while ($stop > $start && !$settled($stop, $to)) {
            --$stop;
        }

        return [$start, $stop];
    }

    /**
     * The one place that parts the run into two levels best, if they are levels: further apart than a hundredth, and
     * than what either swings by itself.
     */
    private static function step(Series $run): ?int
    {
        $count = $run->count();
        $least = max(self::LEAST_LEVEL, intdiv($count, self::PARTS_OF_A_RUN));
        $total = array_sum($run->values);
        $left = 0.0;
        $best = 0.0;
        $at = null;
        foreach ($run->values as $index => $value) {
            if ($index >= $least && $index <= $count - $least) {
                $apart = $left / $index - ($total - $left) / ($count - $index);
                $gain = $apart ** 2 * $index * ($count - $index);
                if ($gain > $best) {
                    [$best, $at] = [$gain, $index];
                }
            }
            $left += $value;
        }
        if (null === $at) {
            return null;
        }
        $parts = self::parted($run, $at);
        [$before, $after] = array_map(self::level(...), $parts);

        return abs($before - $after) > max(self::STEP_FROM * min($before, $after), ...array_map(self::spread(...), $parts)) ? $at : null;
    }

    /** @return array{Series, Series} what was before a place, and from it on */
    private static function parted(Series $run, int $at): array
    {
        return [$run->between(0, $at - 1), $run->between($at, $run->count() - 1)];
    }

    private static function level(Series $part): float
    {
        return Statistics::median($part->values);
    }

    /** Half of the samples lie within. */
    private static function spread(Series $part): float
    {
        return Statistics::quantile($part->values, self::QUARTERS[1]) - Statistics::quantile($part->values, self::QUARTERS[0]);
    }

    /**
     * What is left without the levels and a slow drift.
     *
     * @param list<Series> $parts
     * @param float|null   $stepAt s
     *
     * @return list<float>
     */
    private static function residue(array $parts, ?float $stepAt): array
    {
        $residue = [];
        foreach ($parts as $part) {
            $line = Statistics::line($part);
            foreach ($part->values as $index => $value) {
                $isSettling = null !== $stepAt && abs($part->times[$index] - $stepAt) < self::GOVERNOR_TAKES;
                $residue[] = null === $line || $isSettling ? 0.0 : $value - $line['level'] - $line['slope'] * ($part->times[$index] - $part->times[0]);
            }
        }

        return $residue;
    }

    /**
     * The lag at which the swing is most like itself again, by autocorrelation.
     *
     * @param list<float> $residue
     *
     * @return float|null s; null when there is none
     */
    private static function beat(Series $run, array $residue): ?float
    {
        $count = min(\count($residue), self::MOST_BINS);
        $step = $run->step();
        $power = 0.0;
        for ($index = 0; $index < $count; ++$index) {
            $power += $residue[$index] ** 2;
        }
        if ($count < self::LEAST_SAMPLES || $power < 1e-12) {
            return null;
        }
        $alike = [1.0];
        $longest = min(intdiv($count, 2), (int) ceil(self::LONGEST_LAG / $step));
        for ($lag = 1; $lag <= $longest; ++$lag) {
            $sum = 0.0;
            for ($index = $lag; $index < $count; ++$index) {
                $sum += $residue[$index] * $residue[$index - $lag];
            }
            // Fewer pairs at longer lags: scaled as if there were as many.
            $alike[] = $sum / $power * $count / ($count - $lag);
        }

        return self::firstPeak($alike, $step);
    }

    /**
     * @param list<float> $alike by lag
     *
     * @return float|null s
     */
    private static function firstPeak(array $alike, float $step): ?float
    {
        $hasCrossed = false;
        for ($lag = 1; $lag < \count($alike) - 1; ++$lag) {
            $hasCrossed = $hasCrossed || $alike[$lag] < 0.0;
            if (!$hasCrossed || $alike[$lag] < self::ALIKE || $alike[$lag] < $alike[$lag - 1] || $alike[$lag] < $alike[$lag + 1]) {
                continue;
            }

            return ($lag + Statistics::lean($alike[$lag - 1], $alike[$lag], $alike[$lag + 1])) * $step;
        }

        return null;
    }
}
