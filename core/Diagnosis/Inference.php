<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * The probability of each fault given what was observed: exact, by summing over the two bounds of each observation
 * (quickscore, D. Heckerman 1989, published). What a test showed at its least alarming outcome costs nothing; each
 * alarming one doubles the sum. Those that only one fault can show are taken beforehand; of the others the ten a
 * sound machine shows least are summed exactly, and any more are taken one by one against what those left believed.
 */
final class Inference
{
    private const MOST_SUMMED = 10;

    /** @var array<string, float> odds in favor of each fault, apart from the summed observations */
    private array $weights = [];

    /** @var array<string, float> */
    private array $present = [];

    private float $total = 0.0;

    /**
     * @param array<string, float> $priors by fault
     */
    private function __construct(private readonly array $priors)
    {
    }

    /**
     * @param array<string, float> $priors       by fault, above 0 and below 1
     * @param list<Observation>    $observations
     *
     * @return array<string, float> by fault
     */
    public static function posterior(array $priors, array $observations): array
    {
        $inference = new self($priors);
        $terms = [];
        foreach ($observations as $observation) {
            foreach ($observation->places as $place) {
                $terms[] = new Term($observation, $place, 1 / \count($observation->places), array_keys($priors));
            }
        }

        return $inference->given($terms);
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
        foreach (\array_slice($shared, self::MOST_SUMMED) as $term) {
            $this->takeAlone($term, $beliefs);
            $beliefs = $this->sum($summed);
        }

        return $beliefs;
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
