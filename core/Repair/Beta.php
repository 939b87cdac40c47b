<?php

declare(strict_types=1);

namespace AwakeShed\Core\Repair;

use AwakeShed\Core\Units\ImpossibleAmount;

/** The Beta distribution: what is believed of a chance after so many successes and failures. */
final readonly class Beta
{
    /** Asked at each step of a quantile. */
    private float $logBeta;

    private function __construct(public float $a, public float $b)
    {
        $this->logBeta = self::logGamma($a) + self::logGamma($b) - self::logGamma($a + $b);
    }

    /** @throws ImpossibleAmount unless both are 0.01 to 100 000 */
    public static function shaped(float $a, float $b): self
    {
        ImpossibleAmount::unlessBetween($a, 0.01, 1e5, '');
        ImpossibleAmount::unlessBetween($b, 0.01, 1e5, '');

        return new self($a, $b);
    }

    /**
     * @param float $mean   0.01 to 0.99
     * @param float $weight how many jobs the rule of thumb is worth, 1 to 1000
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function worth(float $mean, float $weight): self
    {
        ImpossibleAmount::unlessBetween($mean, 0.01, 0.99, '');
        ImpossibleAmount::unlessBetween($weight, 1.0, 1000.0, '');

        return new self($mean * $weight, (1 - $mean) * $weight);
    }

    /**
     * What is believed once more jobs are closed (Bayes' rule for a yes or no).
     *
     * @throws ImpossibleAmount when a number is negative or over 10 000
     */
    public function seen(int $successes, int $failures): self
    {
        ImpossibleAmount::unlessBetween($successes, 0, 10_000, '');
        ImpossibleAmount::unlessBetween($failures, 0, 10_000, '');

        return new self($this->a + $successes, $this->b + $failures);
    }

    public function mean(): float
    {
        return $this->a / ($this->a + $this->b);
    }

    /** @return float the probability that the chance is at most x: the regularized incomplete beta function, to about 1e−12 */
    public function cumulative(float $x): float
    {
        if ($x <= 0.0) {
            return 0.0;
        }
        if ($x >= 1.0) {
            return 1.0;
        }
        $front = exp($this->a * log($x) + $this->b * log(1 - $x) - $this->logBeta);

        // The continued fraction converges fast on this side of the mean only; the other side is its mirror.
        return $x < ($this->a + 1) / ($this->a + $this->b + 2)
            ? $front * self::fraction($this->a, $this->b, $x) / $this->a
            : 1 - $front * self::fraction($this->b, $this->a, 1 - $x) / $this->b;
    }

    /**
     * @param float $probability 0 to 1
     *
     * @return float the chance that is not exceeded with this probability
     *
     * @throws ImpossibleAmount outside that
     */
    public function quantile(float $probability): float
    {
        ImpossibleAmount::unlessBetween($probability, 0.0, 1.0, '');
        [$low, $high] = [0.0, 1.0];
        $x = $this->mean();
        // Newton's step where it stays between the bounds, else half of what is left: fast, and never lost.
        for ($step = 0; $step < 100 && $high - $low > 1e-12; ++$step) {
            $off = $this->cumulative($x) - $probability;
            [$low, $high] = $off < 0.0 ? [$x, $high] : [$low, $x];
            $slope = $this->density($x);
            $next = $slope > 0.0 && is_finite($slope) ? $x - $off / $slope : -1.0;
            if (!($next > $low && $next < $high)) {
                $next = ($low + $high) / 2;
            }
            if (abs($next - $x) < 1e-12) {
                return $next;
            }
            $x = $next;
        }

        return $x;
    }

    private function density(float $x): float
    {
        return exp(($this->a - 1) * log($x) + ($this->b - 1) * log(1 - $x) - $this->logBeta);
    }

    /** Lanczos' approximation with g = 7 and nine terms (published: Lanczos 1964, coefficients of P. Godfrey), to about 1e−15. */
    private static function logGamma(float $x): float
    {
        if ($x < 0.5) {
            return log(\M_PI / sin(\M_PI * $x)) - self::logGamma(1 - $x);
        }
        $terms = [676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7];
        $sum = 0.99999999999980993;
        foreach ($terms as $index => $term) {
            $sum += $term / ($x + $index);
        }
        $t = $x + 6.5;

        return 0.5 * log(2 * \M_PI) + ($x - 0.5) * log($t) - $t + log($sum);
    }

    /** Lentz's method for the continued fraction of the incomplete beta function (published: Abramowitz and Stegun 26.5.8). */
    private static function fraction(float $a, float $b, float $x): float
    {
        $tiny = 1e-300;
        $c = 1.0;
        // Never nought: x is below (a + 1) / (a + b + 2) here.
        $d = 1 / (1 - ($a + $b) * $x / ($a + 1));
        $value = $d;
        for ($m = 1; $m <= 2000; ++$m) {
            $even = $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $odd = -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1));
            $step = 1.0;
            foreach ([$even, $odd] as $numerator) {
                $d = 1 + $numerator * $d;
                $d = 1 / (abs($d) < $tiny ? $tiny : $d);
                $c = 1 + $numerator / $c;
                $c = abs($c) < $tiny ? $tiny : $c;
                $step = $c * $d;
                $value *= $step;
            }
            if (abs($step - 1) < 1e-15) {
                break;
            }
        }

        return $value;
    }
}
