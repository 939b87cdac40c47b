<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

/**
 * Firing repeats itself, so its sound is a comb of lines at whole multiples of the beat. For every beat it might have, a
 * stretch of sound is asked how much louder the lines of its comb are than what lies a half and a third of the way
 * between them: the one tells whether the beat is twice too quick, the other whether it is three times.
 */
final readonly class Combs
{
    /** Hz: 600 rpm of a single four-stroke, and 15 000 rpm of a two-stroke. */
    private const SLOWEST = 5.0;
    private const QUICKEST = 250.0;

    /** From one candidate to the next. */
    public const STEP = 1.006;

    /** Lines of a comb that are looked at, and more of a slow one, whose muffler rings far above its beat. */
    private const LINES = 12;
    public const MOST_LINES = 40;
    private const RINGS_TO = 400.0;

    /** With fewer lines chance alone makes one stand out. */
    private const TRUSTED_LINES = 8;

    /** Hz; above it little of an engine's beat is left. */
    public const HIGHEST_LINE = 900.0;

    /** Hz to either side from which a line's ground is taken. */
    private const GROUND_WIDTH = 40.0;

    /** Of the mean power; nothing below it is heard. */
    private const BOTTOM = 1e-3;

    /** Natural logarithm of power over the ground; louder counts no more, or one hum would be a comb. */
    private const LOUDEST = 3.0;

    /** Beats nearer to one another than this are one. */
    private const SAME = 0.05;

    /** Beats that are as small whole numbers. */
    private const RATIOS = [1, 2, 3, 4, 5, 3 / 2, 4 / 3, 5 / 2, 5 / 3];

    /**
     * @param non-empty-list<float>                                  $beats Hz
     * @param non-empty-list<array{list<int>, list<int>, list<int>}> $combs lines, halves, thirds
     * @param float                                                  $width of a place of the spectrum, Hz
     */
    private function __construct(public array $beats, private array $combs, private float $width)
    {
    }

    /**
     * @param float $width of a place of the spectrum, Hz
     * @param int   $size  of its transform
     */
    public static function over(float $width, int $size): self
    {
        $beats = self::candidates();

        return new self($beats, self::combs($beats, $width, $size), $width);
    }

    /** @return int candidates from a beat to so many times itself */
    public static function steps(float $factor): int
    {
        return (int) round(log($factor) / log(self::STEP));
    }

    /** Combs whose beats are as small whole numbers share lines; what stands out in both is one machine's. */
    public static function isRelated(int $apart): bool
    {
        foreach (self::RATIOS as $ratio) {
            if (abs(abs($apart) - log($ratio) / log(self::STEP)) < log(1 + self::SAME) / log(self::STEP)) {
                return true;
            }
        }

        return false;
    }

    /** @return non-empty-list<float> Hz */
    private static function candidates(): array
    {
        $candidates = [$beat = self::SLOWEST];
        while (($beat *= self::STEP) <= self::QUICKEST) {
            $candidates[] = $beat;
        }

        return $candidates;
    }

    /**
     * Where the lines of each candidate fall, and what lies between them, as places of the spectrum.
     *
     * @param non-empty-list<float> $candidates
     *
     * @return non-empty-list<array{list<int>, list<int>, list<int>}> lines, halves, thirds
     */
    private static function combs(array $candidates, float $width, int $size): array
    {
        $place = static fn (float $frequency): int => min(intdiv($size, 2) - 1, (int) round($frequency / $width));
        $combs = [];
        foreach ($candidates as $beat) {
            $lines = $halves = $thirds = [];
            $most = min(self::MOST_LINES, max(self::LINES, (int) (self::RINGS_TO / $beat)));
            for ($k = 1; $k <= $most && $k * $beat <= self::HIGHEST_LINE; ++$k) {
                $lines[] = $place($k * $beat);
                $halves[] = $place(($k - 0.5) * $beat);
                $thirds[] = $place(($k - 1 / 3) * $beat);
                $thirds[] = $place(($k - 2 / 3) * $beat);
            }
            $combs[] = [$lines, $halves, $thirds];
        }

        return $combs;
    }

    /**
     * How far each place of a spectrum stands out from its surroundings; what is the loudest about it is seen from its
     * neighbours too, so that a line between two places is not lost.
     *
     * @param list<float> $power
     *
     * @return list<float>
     */
    private static function standingOut(array $power, float $width): array
    {
        $count = \count($power);
        $logs = [];
        $sums = [0.0];
        $sum = 0.0;
        // Without any noise the valleys between lines are bottomless, and every ripple in them a line.
        $bottom = self::BOTTOM * array_sum($power) / max(1, $count) + 1e-12;
        foreach ($power as $value) {
            $log = log($value + $bottom);
            $logs[] = $log;
            $sums[] = $sum += $log;
        }
        $reach = max(4, (int) round(self::GROUND_WIDTH / $width));
        $out = [];
        foreach ($logs as $n => $log) {
            $from = max(0, $n - $reach);
            $to = min($count, $n + $reach + 1);
            $here = max($log, $logs[$n - 1] ?? $log, $logs[$n + 1] ?? $log);
            $out[] = min(self::LOUDEST, $here - ($sums[$to] - $sums[$from]) / ($to - $from));
        }

        return $out;
    }

    /**
     * @param list<float> $power of a stretch of sound
     * @param list<int>   $alone places of tones that are nobody's line
     *
     * @return non-empty-list<float> by candidate: how far the lines of its comb stand out over what lies between them, natural logarithm of power
     */
    public function scored(array $power, array $alone): array
    {
        $out = self::standingOut($power, $this->width);
        foreach (array_intersect($alone, array_keys($out)) as $n) {
            $out[$n] = 0.0;
        }
        $scores = [];
        foreach ($this->combs as [$lines, $halves, $thirds]) {
            $loud = $half = $third = 0.0;
            foreach ($lines as $n) {
                $loud += $out[$n];
            }
            foreach ($halves as $n) {
                $half += $out[$n];
            }
            foreach ($thirds as $n) {
                $third += $out[$n];
            }
            $count = max(1, \count($lines));
            $scores[] = ($loud - max($half, $third / 2)) / $count * min(1.0, sqrt($count / self::TRUSTED_LINES));
        }

        return $scores;
    }
}
