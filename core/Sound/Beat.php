<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

/**
 * The beat of an engine in its sound, over time.
 *
 * Firing repeats itself, so its sound is a comb of lines at whole multiples of the beat. Each second or so of sound is
 * asked, for every beat it might have, how much louder the lines of its comb are than what lies a half and a third of the
 * way between them: the one asks whether the beat is twice too quick, the other whether it is three times. A smooth path
 * through the answers is the beat over time; how strong the path is an octave away says whether another reading fits.
 */
final readonly class Beat
{
    /** Hz: 600 rpm of a single four-stroke, and 15 000 rpm of a two-stroke. */
    private const SLOWEST = 5.0;
    private const QUICKEST = 250.0;

    /** From one candidate to the next. */
    private const STEP = 1.006;

    /** Lines of a comb that are looked at. */
    private const LINES = 12;

    /** Hz; above it little of an engine's beat is left. */
    private const HIGHEST_LINE = 900.0;

    /** Two to the power of it samples a stretch, about a second, and the next begins half of it on. */
    private const STRETCH_BITS = 11;

    /** Hz to either side from which a line's ground is taken. */
    private const GROUND_WIDTH = 40.0;

    /** Natural logarithm of power over the ground; louder counts no more, or one hum would be a comb. */
    private const LOUDEST = 3.0;

    /** Candidates a path may move by from one stretch to the next: nine per cent. */
    private const MOST_MOVE = 15;
    private const MOVE_COST = 0.015;

    private const OCTAVES = ['half' => 0.5, 'twice' => 2.0, 'third' => 1 / 3, 'thrice' => 3.0];

    /** Beats nearer to one another than this are one. */
    private const SAME = 0.05;

    /**
     * @param list<float> $times    s, the middle of each stretch
     * @param list<float> $beats    Hz
     * @param float       $strength of the path: how far, on the average, its lines stand out
     * @param array<string, float> $octaves strength of the path at half, twice, a third and thrice its beat, by the factor
     * @param float       $rival    strength of the strongest comb that is none of these
     * @param float       $rivalBeat Hz
     */
    private function __construct(public array $times, public array $beats, public float $strength, public array $octaves, public float $rival, public float $rivalBeat)
    {
    }

    public static function of(Sound $sound): self
    {
        $spectrum = Spectrum::ofSize(self::STRETCH_BITS);
        $width = $sound->rate / $spectrum->size;
        $candidates = self::candidates();
        $hop = intdiv($spectrum->size, 2);
        $count = max(1, intdiv(\count($sound->samples) - $hop, $hop));
        $scores = [];
        $times = [];
        $combs = self::combs($candidates, $width, $spectrum->size);
        for ($n = 0; $n < $count; $n += 2) {
            foreach ($spectrum->powers($sound->samples, $n * $hop, ($n + 1) * $hop) as $which => $power) {
                if ($n + $which < $count) {
                    $scores[] = self::scored(self::standingOut($power, $width), $combs);
                    $times[] = (($n + $which) * $hop + $hop) / $sound->rate;
                }
            }
        }
        $path = self::path($scores);

        return self::judged($times, $candidates, $scores, $path);
    }

    /** @return list<float> Hz */
    private static function candidates(): array
    {
        $candidates = [];
        for ($beat = self::SLOWEST; $beat <= self::QUICKEST; $beat *= self::STEP) {
            $candidates[] = $beat;
        }

        return $candidates;
    }

    /**
     * Where the lines of each candidate fall, and what lies between them, as places of the spectrum.
     *
     * @param list<float> $candidates
     *
     * @return list<array{list<int>, list<int>, list<int>}> lines, halves, thirds
     */
    private static function combs(array $candidates, float $width, int $size): array
    {
        $place = static fn (float $frequency): int => min($size / 2 - 1, (int) round($frequency / $width));
        $combs = [];
        foreach ($candidates as $beat) {
            $lines = $halves = $thirds = [];
            for ($k = 1; $k <= self::LINES && $k * $beat <= self::HIGHEST_LINE; ++$k) {
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
        foreach ($power as $value) {
            $log = log($value + 1e-12);
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
     * @param list<float>                                  $out
     * @param list<array{list<int>, list<int>, list<int>}> $combs
     *
     * @return list<float> by candidate
     */
    private static function scored(array $out, array $combs): array
    {
        $scores = [];
        foreach ($combs as [$lines, $halves, $thirds]) {
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
            $count = \count($lines);
            $scores[] = ($loud - max($half, $third / 2)) / $count;
        }

        return $scores;
    }

    /**
     * @param list<list<float>> $scores by stretch and candidate
     *
     * @return list<int> the candidate of each stretch on the best smooth path (published: Viterbi 1967)
     */
    private static function path(array $scores): array
    {
        $best = $scores[0];
        $from = [];
        $count = \count($best);
        for ($t = 1; $t < \count($scores); ++$t) {
            $next = $back = [];
            for ($n = 0; $n < $count; ++$n) {
                $top = $best[$n];
                $at = $n;
                for ($move = 1; $move <= self::MOST_MOVE; ++$move) {
                    $cost = self::MOVE_COST * $move;
                    if (($best[$n - $move] ?? -\INF) - $cost > $top) {
                        $top = $best[$n - $move] - $cost;
                        $at = $n - $move;
                    }
                    if (($best[$n + $move] ?? -\INF) - $cost > $top) {
                        $top = $best[$n + $move] - $cost;
                        $at = $n + $move;
                    }
                }
                $next[] = $top + $scores[$t][$n];
                $back[] = $at;
            }
            $best = $next;
            $from[] = $back;
        }
        $path = [(int) array_search(max([0.0, ...$best]) ?: max($best), $best, true)];
        for ($t = \count($from) - 1; $t >= 0; --$t) {
            array_unshift($path, $from[$t][$path[0]]);
        }

        return $path;
    }

    /**
     * @param list<float>       $times
     * @param list<float>       $candidates
     * @param list<list<float>> $scores
     * @param list<int>         $path
     */
    private static function judged(array $times, array $candidates, array $scores, array $path): self
    {
        $strength = self::strength($scores, $path, 0);
        $octaves = [];
        foreach (self::OCTAVES as $name => $factor) {
            $octaves[$name] = self::strength($scores, $path, (int) round(log($factor) / log(self::STEP)));
        }
        $middle = $candidates[$path[intdiv(\count($path), 2)]];
        $means = array_fill(0, \count($candidates), 0.0);
        foreach ($scores as $row) {
            foreach ($row as $n => $score) {
                $means[$n] += $score / \count($scores);
            }
        }
        [$rival, $rivalBeat] = [0.0, 0.0];
        foreach ($candidates as $n => $beat) {
            if ($means[$n] > $rival && !self::isRelated($beat / $middle)) {
                [$rival, $rivalBeat] = [$means[$n], $beat];
            }
        }

        return new self($times, array_map(static fn (int $n): float => $candidates[$n], $path), $strength, $octaves, $rival, $rivalBeat);
    }

    /**
     * @param list<list<float>> $scores
     * @param list<int>         $path
     */
    private static function strength(array $scores, array $path, int $shift): float
    {
        $sum = 0.0;
        foreach ($path as $t => $n) {
            $sum += $scores[$t][$n + $shift] ?? 0.0;
        }

        return $sum / \count($path);
    }

    /** Combs whose beats are as small whole numbers share lines; what stands out in both is one machine's. */
    private static function isRelated(float $ratio): bool
    {
        for ($over = 1; $over <= 6; ++$over) {
            for ($under = 1; $under <= 6; ++$under) {
                if (abs($ratio * $under / $over - 1) < self::SAME) {
                    return true;
                }
            }
        }

        return false;
    }
}
