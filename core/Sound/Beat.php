<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

use AwakeShed\Core\Trace\Statistics;

/**
 * The beat of an engine in its sound, over time.
 *
 * Each second or so of sound is asked how well the comb of every beat fits it ({@see Combs}). A smooth path through the
 * answers is the beat over time; how strong the path is an octave away says whether another reading fits, and a second
 * path, whether another machine is heard.
 */
final readonly class Beat
{
    /** Two to the power of it samples a stretch, about a second, and the next begins half of it on. */
    private const STRETCH_BITS = 11;

    /** Candidates a path may move by from one stretch to the next: nine per cent. */
    private const MOST_MOVE = 15;
    private const MOVE_COST = 0.015;

    private const OCTAVES = ['half' => 0.5, 'twice' => 2.0, 'third' => 1 / 3, 'thrice' => 3.0];

    /** A line no louder than this many times the ground is chance. */
    private const OVER_GROUND = 4.0;

    /** Natural logarithm of power over the ground, and places to either side that are its ground: a tone that never stops. */
    private const HUM_FROM = 3.5;
    private const HUM_GROUND = 12;
    private const MOST_HUMS = 4;

    /** Places the window smears a tone over, and natural logarithm of power over everything else. */
    private const OWN_PLACES = 4;
    private const ALONE_FROM = 2.5;

    /** No path goes there. */
    private const NEVER = -10.0;

    /** Places of the spectrum within which a line is one of a comb. */
    private const ON_A_LINE = 2.5;

    /**
     * @param list<float>          $times    s, the middle of each stretch
     * @param list<float>          $beats    Hz
     * @param float                $strength of the path: how far, on the average, its lines stand out
     * @param array<string, float> $octaves  strength of the path at half, twice, a third and thrice its beat, by the factor
     * @param list<float>          $rivals   Hz, of the strongest comb that is none of these
     * @param float                $loudness of that comb as a share of this one's
     * @param list<float>          $hums     Hz, steady tones that are no lines of it
     */
    private function __construct(public array $times, public array $beats, public float $strength, public array $octaves, public array $rivals, public float $loudness, public array $hums)
    {
    }

    public static function of(Sound $sound): self
    {
        $spectrum = Spectrum::ofSize(self::STRETCH_BITS);
        $width = $sound->rate / $spectrum->size;
        $hop = intdiv($spectrum->size, 2);
        $count = max(1, intdiv(\count($sound->samples) - $hop, $hop));
        $powers = [];
        $times = [];
        $combs = Combs::over($width, $spectrum->size);
        for ($n = 0; $n < $count; $n += 2) {
            foreach ($spectrum->powers($sound->samples, $n * $hop, ($n + 1) * $hop) as $which => $power) {
                if ($n + $which < $count) {
                    $powers[] = $power;
                    $times[] = (($n + $which) * $hop + $hop) / $sound->rate;
                }
            }
        }
        \assert([] !== $powers, 'A sound of a second has a stretch.');
        $means = self::means($powers);
        $alone = self::alone($means);
        $scores = array_map(static fn (array $power): array => $combs->scored($power, $alone), $powers);
        $path = self::path($scores);

        return self::judged($times, $combs->beats, $scores, $path, $powers, $width, $means);
    }

    /**
     * @param non-empty-list<non-empty-list<float>> $scores by stretch and candidate
     *
     * @return non-empty-list<int> the candidate of each stretch on the best smooth path (published: Viterbi 1967)
     */
    private static function path(array $scores): array
    {
        $best = $scores[0];
        $from = [];
        for ($t = 1; $t < \count($scores); ++$t) {
            $next = $back = [];
            foreach ($scores[$t] as $n => $score) {
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
                $next[] = $top + $score;
                $back[] = $at;
            }
            $best = $next;
            $from[] = $back;
        }
        $path = [(int) array_search(max($best), $best, true)];
        for ($t = \count($from) - 1; $t >= 0; --$t) {
            array_unshift($path, $from[$t][$path[0]]);
        }

        return $path;
    }

    /**
     * @param list<float>                           $times
     * @param list<float>                           $candidates
     * @param non-empty-list<non-empty-list<float>> $scores
     * @param non-empty-list<int>                   $path
     * @param list<list<float>>                     $powers     of each stretch
     * @param float                                 $width      of a place of them, Hz
     * @param list<float>                           $means      of the logarithms of the powers, by place
     */
    private static function judged(array $times, array $candidates, array $scores, array $path, array $powers, float $width, array $means): self
    {
        $strength = self::strength($scores, $path, 0);
        $octaves = [];
        foreach (self::OCTAVES as $name => $factor) {
            $octaves[$name] = self::strength($scores, $path, Combs::steps($factor));
        }
        $isRelated = array_map(Combs::isRelated(...), array_keys($candidates));
        $others = array_map(
            static fn (array $row, int $there): array => array_map(static fn (float $score, int $n): float => $isRelated[abs($n - $there)] ? self::NEVER : $score, $row, array_keys($row)),
            $scores,
            $path,
        );
        $second = self::path($others);
        [$first, $other] = [self::beats($candidates, $path), self::beats($candidates, $second)];
        $loudness = self::loudness($powers, $first, $other, $width);

        return new self(
            $times,
            $first,
            $strength,
            $octaves,
            $other,
            $loudness > 0.0 ? self::loudness($powers, $other, $first, $width) / $loudness : \INF,
            self::hums($means, $first, $width),
        );
    }

    /**
     * @param list<float>         $candidates
     * @param non-empty-list<int> $path
     *
     * @return non-empty-list<float> Hz
     */
    private static function beats(array $candidates, array $path): array
    {
        return array_map(static fn (int $n): float => $candidates[$n], $path);
    }

    /**
     * @param non-empty-list<non-empty-list<float>> $scores
     * @param non-empty-list<int>                   $path
     */
    private static function strength(array $scores, array $path, int $shift): float
    {
        $sum = 0.0;
        foreach ($path as $t => $n) {
            $sum += $scores[$t][$n + $shift] ?? 0.0;
        }

        return $sum / \count($path);
    }

    /**
     * How loud the lines of a path are over what lies between them, in the middle of all stretches; lines that another
     * path has as well, and the loudest one, which may be somebody's hum, are left out.
     *
     * @param list<list<float>> $powers
     * @param list<float>       $beats  Hz, of each stretch
     * @param list<float>       $others Hz
     */
    private static function loudness(array $powers, array $beats, array $others, float $width): float
    {
        $loud = [];
        foreach ($powers as $t => $power) {
            [$beat, $other] = [$beats[$t], $others[$t]];
            $lines = [];
            $between = 0.0;
            $most = min(Combs::MOST_LINES, (int) (Combs::HIGHEST_LINE / $beat));
            for ($k = 1; $k <= $most; ++$k) {
                $n = (int) round($k * $beat / $width);
                $m = (int) round(($k - 0.5) * $beat / $width);
                $between += $power[$m];
                if (abs($k * $beat / $other - round($k * $beat / $other)) * $other > self::ON_A_LINE * $width) {
                    $lines[] = max($power[$n], $power[$n - 1], $power[$n + 1]);
                }
            }
            rsort($lines);
            $ground = $between / $most;
            $loud[] = array_sum(array_map(static fn (float $line): float => sqrt(max(0.0, $line - self::OVER_GROUND * $ground)), \array_slice($lines, 1)));
        }

        return Statistics::median($loud);
    }

    /**
     * @param list<float> $means of the logarithms of the powers, by place
     * @param list<float> $beats Hz, of each stretch
     *
     * @return list<float> Hz
     */
    private static function hums(array $means, array $beats, float $width): array
    {
        $beat = $beats[intdiv(\count($beats), 2)];
        $hums = [];
        for ($n = 3; $n < \count($means) - 3; ++$n) {
            $isTop = $means[$n] > $means[$n - 1] && $means[$n] >= $means[$n + 1];
            $from = max(0, $n - self::HUM_GROUND);
            $ground = \array_slice($means, $from, 2 * self::HUM_GROUND);
            $frequency = $n * $width;
            $isLine = abs($frequency / $beat - round($frequency / $beat)) * $beat <= self::ON_A_LINE * $width;
            // A line far louder than the next ones of its comb is somebody else's.
            $alone = $isLine ? max(self::loudest($means, $n - (int) round($beat / $width)), self::loudest($means, $n + (int) round($beat / $width))) : array_sum($ground) / \count($ground);
            if ($isTop && $means[$n] - $alone > self::HUM_FROM) {
                // Between two places a tone leans to the louder neighbour.
                $hums[] = ($n + Statistics::lean($means[$n - 1], $means[$n], $means[$n + 1])) * $width;
            }
        }

        return \array_slice($hums, 0, self::MOST_HUMS);
    }

    /**
     * @param non-empty-list<non-empty-list<float>> $powers
     *
     * @return non-empty-list<float> of the logarithms of the powers, by place
     */
    private static function means(array $powers): array
    {
        $means = [];
        foreach (array_keys($powers[0]) as $n) {
            $means[] = array_sum(array_map(static fn (array $power): float => log($power[$n] + 1e-12), $powers)) / \count($powers);
        }

        return $means;
    }

    /**
     * Places of one tone far louder than all else that is heard: a hum, whose every fraction would look like a beat. Of an
     * engine's lines several are loud.
     *
     * @param non-empty-list<float> $means
     *
     * @return list<int>
     */
    private static function alone(array $means): array
    {
        $top = (int) array_search(max($means), $means, true);
        $about = -\INF;
        foreach ($means as $n => $mean) {
            if (abs($n - $top) > self::OWN_PLACES) {
                $about = max($about, $mean);
            }
        }

        return $means[$top] - $about > self::ALONE_FROM ? range(max(0, $top - self::OWN_PLACES), $top + self::OWN_PLACES) : [];
    }

    /** @param list<float> $means */
    private static function loudest(array $means, int $about): float
    {
        return max([-\INF, ...\array_slice($means, max(0, $about - 1), 3)]);
    }
}
