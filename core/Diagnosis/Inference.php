<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * The probability of each fault given what was observed: exact, by summing over the two bounds of each observation
 * (quickscore, D. Heckerman 1989, published). What a test showed at its least alarming outcome costs nothing; each
 * alarming one doubles the sum. Those that only one fault can show are taken beforehand; of the others the eight a
 * sound machine shows least are summed exactly, and any more are taken one by one against what those left believed.
 */
final class Inference
{
    private const MOST_SUMMED = 8;

    /** As good as there, and as good as not. */
    private const CERTAIN = 1e-9;

    /** @var array<string, float> odds in favor of each fault, apart from the summed observations */
    private array $weights = [];

    /** @var array<string, float> */
    private array $present = [];

    private float $total = 0.0;

    /** What the observations taken beforehand are worth on a sound machine. */
    private float $constant = 1.0;

    /**
     * @param array<string, float> $priors by fault
     */
    private function __construct(private readonly array $priors)
    {
    }

    /**
     * @param array<string, float>                $priors       by fault, above 0 and below 1
     * @param list<Observation>                   $observations
     * @param array<string, array<string, float>> $brings       fault => chance by which it brings another by itself; faults that
     *                                                          are brought come after those that bring them
     *
     * @return array<string, float> by fault
     */
    public static function posterior(array $priors, array $observations, array $brings = []): array
    {
        $brings = self::thatMatter(array_intersect_key($brings, $priors), $observations);
        $beliefs = array_fill_keys(array_keys($priors), 0.0);
        $evidence = 0.0;
        for ($case = 0; $case < 2 ** \count($brings); ++$case) {
            [$share, $given] = self::supposing($priors, $brings, $case);
            $inference = new self($given);
            $here = $inference->given(self::terms($observations, $given));
            $weight = $share * $inference->evidence();
            $evidence += $weight;
            foreach ($here as $fault => $belief) {
                $beliefs[$fault] += $weight * $belief;
            }
        }

        return array_map(static fn (float $belief): float => $evidence > 0.0 ? $belief / $evidence : 0.0, $beliefs);
    }

    /**
     * Only those that bring faults of which something alarming was seen, or of which they show something alarming: of
     * the others nothing is learned by supposing them.
     *
     * @param array<string, array<string, float>> $brings
     * @param list<Observation>                   $observations
     *
     * @return array<string, array<string, float>>
     */
    private static function thatMatter(array $brings, array $observations): array
    {
        return array_filter($brings, static function (string $fault) use ($brings, $observations): bool {
            foreach ($observations as $observation) {
                foreach ([$fault, ...array_keys($brings[$fault])] as $either) {
                    if ([] !== array_filter($observation->places, static fn (int $place): bool => $place > 0) && $observation->concerns($either)) {
                        return true;
                    }
                }
            }

            return false;
        }, \ARRAY_FILTER_USE_KEY);
    }

    /**
     * @param array<string, float>                $priors
     * @param array<string, array<string, float>> $brings
     * @param int                                 $case   a bit for each that brings: whether it is there
     *
     * @return array{float, array<string, float>} how likely that is, and the priors with it
     */
    private static function supposing(array $priors, array $brings, int $case): array
    {
        $share = 1.0;
        foreach (array_keys($brings) as $number => $fault) {
            $isThere = 0 !== ($case >> $number & 1);
            $share *= $isThere ? $priors[$fault] : 1 - $priors[$fault];
            $priors[$fault] = $isThere ? 1 - self::CERTAIN : self::CERTAIN;
            foreach ($isThere ? $brings[$fault] : [] as $brought => $chance) {
                if (isset($priors[$brought])) {
                    $priors[$brought] = 1 - (1 - $priors[$brought]) * (1 - $chance);
                }
            }
        }

        return [$share, $priors];
    }

    /**
     * @param list<Observation>    $observations
     * @param array<string, float> $priors
     *
     * @return list<Term>
     */
    private static function terms(array $observations, array $priors): array
    {
        $terms = [];
        foreach ($observations as $observation) {
            foreach ($observation->places as $place) {
                $terms[] = new Term($observation, $place, 1 / \count($observation->places), array_keys($priors));
            }
        }

        return $terms;
    }

    /** How likely all that was seen is; of observations taken one by one, as a sound machine would show them. */
    private function evidence(): float
    {
        $evidence = $this->constant * $this->total;
        foreach ($this->priors as $prior) {
            $evidence *= 1 - $prior;
        }

        return max(0.0, $evidence);
    }

    /**
     * @param list<Term> $terms
     *
     * @return array<string, float>
     */
    private function given(array $terms): array
    {
        foreach ($this->priors as $fault => $prior) {
            $this->weights[$fault] = $prior / (1 - $prior);
        }
        $shared = [];
        foreach ($terms as $term) {
            if (!$term->isSplit()) {
                // One product over the faults: each takes its own factor.
                $this->constant *= $term->soundHigh ** $term->power;
                foreach ($term->high as $fault => $factor) {
                    $this->weights[$fault] *= $factor ** $term->power;
                }
            } elseif (\count($term->high) < 2 || $term->power < 1.0) {
                $this->takeAlone($term, $this->beliefs());
            } else {
                $shared[] = $term;
            }
        }
        // The most telling first: what is left over is the least of them.
        usort($shared, static fn (Term $one, Term $other): int => $one->soundness() <=> $other->soundness());
        $summed = \array_slice($shared, 0, self::MOST_SUMMED);
        $beliefs = $this->sum($summed);
        $left = \array_slice($shared, self::MOST_SUMMED);
        foreach ($left as $term) {
            $this->takeAlone($term, $beliefs);
        }

        return [] === $left ? $beliefs : $this->sum($summed);
    }

    /**
     * @param list<Term> $terms
     *
     * @return array<string, float>
     */
    private function sum(array $terms): array
    {
        // Faults that no summed observation concerns keep their weight: only the others are carried through the sum.
        $involved = [];
        foreach ($terms as $term) {
            $involved += array_intersect_key($this->weights, $term->high);
        }
        $this->present = array_fill_keys(array_keys($involved), 0.0);
        $this->total = 0.0;
        $product = 1.0;
        foreach ($involved as $weight) {
            $product *= 1 + $weight;
        }
        $this->descend($terms, 0, 1.0, $product, $involved);
        $summed = array_map(fn (float $present): float => $this->total <= 0.0 ? 0.0 : min(1.0, max(0.0, $present / $this->total)), $this->present);

        foreach (array_diff_key($this->weights, $involved) as $weight) {
            $this->total *= 1 + $weight;
        }

        return array_replace($this->beliefs(), $summed);
    }

    /**
     * @param list<Term>           $terms
     * @param float                $product of 1 + weight over all faults
     * @param array<string, float> $weights
     */
    private function descend(array $terms, int $depth, float $sign, float $product, array $weights): void
    {
        if ($depth === \count($terms)) {
            $share = $sign * $product;
            $this->total += $share;
            foreach ($weights as $fault => $weight) {
                $this->present[$fault] += $share * $weight / (1 + $weight);
            }

            return;
        }
        $term = $terms[$depth];
        foreach ([[$term->soundHigh, $term->high, $sign], [-$term->soundLow, $term->low, $sign]] as [$sound, $factors, $here]) {
            $next = $weights;
            $changed = $product;
            foreach ($factors as $fault => $factor) {
                $changed *= (1 + $weights[$fault] * $factor) / (1 + $weights[$fault]);
                $next[$fault] = $weights[$fault] * $factor;
            }
            $this->descend($terms, $depth + 1, $here * $sound, $changed, $next);
        }
    }

    /**
     * Each fault takes the factor that the observation has for it, the others being as likely as they are believed.
     *
     * @param array<string, float> $beliefs
     */
    private function takeAlone(Term $term, array $beliefs): void
    {
        $this->constant *= $term->soundness() ** $term->power;
        foreach (array_keys($term->high) as $fault) {
            $this->weights[$fault] *= $term->ratioFor($fault, $beliefs) ** $term->power;
        }
    }

    /** @return array<string, float> as the weights alone have it */
    private function beliefs(): array
    {
        return array_map(static fn (float $weight): float => $weight / (1 + $weight), $this->weights);
    }
}
