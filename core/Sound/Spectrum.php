<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

/** The power spectrum of a stretch of sound: a fast Fourier transform in place (published: Cooley and Tukey 1965) under Hann's window. */
final readonly class Spectrum
{
    /**
     * @param list<float> $window  Hann's, so many values as a stretch has samples
     * @param list<int>   $reverse where each sample goes first
     * @param list<float> $cos     of the turns
     * @param list<float> $sin
     */
    private function __construct(private array $window, private array $reverse, private array $cos, private array $sin, public int $size)
    {
    }

    /** @param int $bits the size is two to the power of it, 4 to 16 */
    public static function ofSize(int $bits): self
    {
        $size = 1 << $bits;
        $window = $reverse = $cos = $sin = [];
        for ($n = 0; $n < $size; ++$n) {
            $window[] = 0.5 - 0.5 * cos(2 * \M_PI * $n / $size);
            $reverse[] = 0 === $n ? 0 : ($reverse[$n >> 1] >> 1) | (($n & 1) << ($bits - 1));
        }
        for ($n = 0; $n < $size / 2; ++$n) {
            $cos[] = cos(2 * \M_PI * $n / $size);
            $sin[] = -sin(2 * \M_PI * $n / $size);
        }

        return new self($window, $reverse, $cos, $sin, $size);
    }

    /**
     * Of two stretches at once: one is carried through as the real part, the other as the imaginary.
     *
     * @param list<float> $samples
     * @param int         $one     the first sample of a stretch; what is beyond the last is taken as silent
     *
     * @return array{non-empty-list<float>, non-empty-list<float>} power from 0 Hz up to half the rate, size/2 values each
     */
    public function powers(array $samples, int $one, int $other): array
    {
        $size = $this->size;
        $re = $im = array_fill(0, $size, 0.0);
        foreach ($this->reverse as $n => $to) {
            $weight = $this->window[$n];
            $re[$to] = ($samples[$one + $n] ?? 0.0) * $weight;
            $im[$to] = ($samples[$other + $n] ?? 0.0) * $weight;
        }
        for ($half = 1; $half < $size; $half *= 2) {
            $stride = intdiv($size, 2 * $half);
            $both = 2 * $half;
            for ($k = 0; $k < $half; ++$k) {
                $c = $this->cos[$k * $stride];
                $s = $this->sin[$k * $stride];
                for ($a = $k; $a < $size; $a += $both) {
                    $b = $a + $half;
                    $x = $re[$b] * $c - $im[$b] * $s;
                    $y = $re[$b] * $s + $im[$b] * $c;
                    $re[$b] = $re[$a] - $x;
                    $im[$b] = $im[$a] - $y;
                    $re[$a] += $x;
                    $im[$a] += $y;
                }
            }
        }
        $powers = [[$re[0] ** 2], [$im[0] ** 2]];
        for ($n = 1; $n < $size / 2; ++$n) {
            $m = $size - $n;
            $powers[0][] = (($re[$n] + $re[$m]) ** 2 + ($im[$n] - $im[$m]) ** 2) / 4;
            $powers[1][] = (($im[$n] + $im[$m]) ** 2 + ($re[$m] - $re[$n]) ** 2) / 4;
        }

        return $powers;
    }
}
