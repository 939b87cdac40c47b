<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

use AwakeShed\Core\Trace\Statistics;

/**
 * The beat followed closely: about each moment the sound is laid over itself, shifted by a few beats, and the shift
 * at which it is most like itself is the beat (normalised cross-correlation). What hums without being the engine's is
 * taken out before.
 */
final readonly class BeatTrack
{
    /** s from one value to the next: ten in the quickest hunt looked for, five of a long recording. */
    private const HOP = 0.05;
    private const LONG_HOP = 0.1;
    private const LONG_FROM = 30.0;

    /** About the beat that is known roughly. */
    private const REACH = 0.09;

    /** Beats, and seconds, that are laid over each other at the least. */
    private const LEAST_BEATS = 3;
    private const LEAST_SECONDS = 0.12;

    /** s: shorter shifts are told apart too roughly, and more beats are taken; of more than eight the next would be within reach. */
    private const SHORT_SHIFT = 0.04;
    private const MOST_SHIFTED = 8;

    /** Less like itself than this, it says nothing. */
    private const ALIKE = 0.25;

    /** So many times what half of the values stay within, and no less than this share of the median: a sine stays within 1.5. */
    private const STRAYS = 2.5;
    private const LEAST_STRAY = 0.015;

    /** Slower than this is wind. */
    private const WIND_WINDOW = 0.012;

    /**
     * @param list<float> $times s
     * @param list<float> $beats Hz
     * @param float       $asked at so many moments, told or not
     */
    private function __construct(public array $times, public array $beats, private float $asked)
    {
    }

    /** @param list<float> $hums Hz, taken out */
    public static function of(Sound $sound, Beat $rough, array $hums): self
    {
        $samples = self::withoutWind($sound->samples, max(3, (int) round(self::WIND_WINDOW * $sound->rate)));
        foreach ($hums as $hum) {
            $samples = self::notched($samples, $hum / $sound->rate);
        }
        $squares = [$square = 0.0];
        foreach ($samples as $sample) {
            $squares[] = $square += $sample * $sample;
        }
        $times = $beats = [];
        $stretch = 0;
        $hop = $sound->duration() > self::LONG_FROM ? self::LONG_HOP : self::HOP;
        for ($time = 0.0; $time < $sound->duration(); $time += $hop) {
            while ($stretch < \count($rough->times) - 1 && $rough->times[$stretch + 1] <= $time) {
                ++$stretch;
            }
            $about = self::between($rough, $stretch, $time);
            $found = self::followed($samples, $squares, $sound->rate, $time, $about);
            if (null !== $found) {
                $times[] = $time;
                $beats[] = $found;
            }
        }

        return new self($times, $beats, $sound->duration() / $hop);
    }

    /** @return float of the moments that were asked, so many told, 0 to 1 */
    public function share(): float
    {
        return \count($this->beats) / max(1.0, $this->asked);
    }

    /** @return float|null Hz on the average, stray values left out; null where it cannot be told */
    public function mean(): ?float
    {
        if ([] === $this->beats) {
            return null;
        }
        $middle = Statistics::median($this->beats);
        // Of a hunt that is cut off in the middle of a swing the median leans to one side; what another machine drew away is
        // left out by how far the half of all values strays.
        $strays = max(self::LEAST_STRAY, self::STRAYS * Statistics::median(array_map(static fn (float $beat): float => abs($beat / $middle - 1), $this->beats)));
        $near = array_filter($this->beats, static fn (float $beat): bool => abs($beat / $middle - 1) <= $strays);

        return array_sum($near) / \count($near);
    }

    private static function between(Beat $rough, int $stretch, float $time): float
    {
        $here = $rough->beats[$stretch];
        $next = $rough->beats[$stretch + 1] ?? $here;
        $from = $rough->times[$stretch];
        $to = $rough->times[$stretch + 1] ?? $from + 1.0;
        $share = min(1.0, max(0.0, ($time - $from) / ($to - $from)));

        return $here + $share * ($next - $here);
    }

    /**
     * @param list<float> $samples
     * @param list<float> $squares summed up to each of them
     */
    private static function followed(array $samples, array $squares, float $rate, float $time, float $about): ?float
    {
        $beats = min(self::MOST_SHIFTED, max(1, (int) ceil(self::SHORT_SHIFT * $about)));
        $shift = $beats * $rate / $about;
        $least = (int) floor($shift * (1 - self::REACH));
        $most = (int) ceil($shift * (1 + self::REACH));
        $width = (int) (max(self::LEAST_SECONDS, self::LEAST_BEATS / $about) * $rate);
        $from = (int) ($time * $rate) - intdiv($width + $most, 2);
        if ($from < 0 || $from + $width + $most >= \count($samples)) {
            return null;
        }
        $end = $from + $width;
        $own = $squares[$end] - $squares[$from];
        $alike = [];
        $lag = $least;
        do {
            $sum = 0.0;
            for ($n = $from; $n < $end; ++$n) {
                $sum += $samples[$n] * $samples[$n + $lag];
            }
            $other = $squares[$end + $lag] - $squares[$from + $lag];
            $alike[] = $own > 0.0 && $other > 0.0 ? $sum / sqrt($own * $other) : 0.0;
        } while (++$lag <= $most);
        $top = (int) array_search(max($alike), $alike, true);
        // At an end it may be on the way up to another.
        if (0 === $top || \count($alike) - 1 === $top || $alike[$top] < self::ALIKE) {
            return null;
        }

        return $beats * $rate / ($least + $top + Statistics::lean($alike[$top - 1], $alike[$top], $alike[$top + 1]));
    }

    /**
     * Less its own running mean, which is what the wind does.
     *
     * @param list<float> $samples
     *
     * @return list<float>
     */
    private static function withoutWind(array $samples, int $width): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($samples as $sample) {
            $sums[] = $sum += $sample;
        }
        $count = \count($samples);
        $half = intdiv($width, 2);
        $left = [];
        foreach ($samples as $n => $sample) {
            $from = max(0, $n - $half);
            $to = min($count, $n + $half + 1);
            $left[] = $sample - ($sums[$to] - $sums[$from]) / ($to - $from);
        }

        return $left;
    }

    /**
     * @param list<float> $samples
     * @param float       $turn    of the hum, as a share of the rate
     *
     * @return list<float>
     */
    private static function notched(array $samples, float $turn): array
    {
        // Zeros on the circle, poles just inside: about three hertz wide at two thousand samples a second.
        $radius = 0.995;
        $zero = -2 * cos(2 * \M_PI * $turn);
        $pole = $radius * $zero;
        $square = $radius * $radius;
        $x1 = $x2 = $y1 = $y2 = 0.0;
        $out = [];
        foreach ($samples as $x) {
            $y = $x + $zero * $x1 + $x2 - $pole * $y1 - $square * $y2;
            $out[] = $y;
            [$x2, $x1, $y2, $y1] = [$x1, $x, $y1, $y];
        }

        return $out;
    }
}
