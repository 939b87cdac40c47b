<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * The probability of each fault given what was observed: exact, by summing over the two bounds of each observation
 * (quickscore, D. Heckerman 1989, published). What a test showed at its least alarming outcome costs nothing; each
 * alarming one doubles the sum of what hangs together with it ({@see SummationPlan}); faults that bring one another are summed
 * over where they stand ({@see Cluster}). Where the sum would take too long, the outcomes a sound machine shows most easily
 * are taken one by one against what the others left believed; so are several outcomes of one test, which share it.
 */
final class Inference
{
    /** Factors applied in one sum; a few milliseconds. */
    private const MOST_COST = 20_000;

    /** How far one believes what somebody has looked at: a look in fifty errs (from memory). */
    public const SEEN = 0.98;

    /** @var array<string, float> by fault, what the observations that need no sum make it likelier by */
    private array $weights;

    /** @param list<SummationPlan> $groups */
    private function __construct(private readonly Network $network, private readonly array $groups)
    {
        $this->weights = array_fill_keys(array_keys($network->priors), 1.0);
    }

    /** @param list<Observation> $observations */
    public static function posterior(Network $network, array $observations): Posterior
    {
        $shared = $left = $apart = [];
        foreach ($observations as $observation) {
            foreach ($observation->places as $place) {
                $term = new OutcomeTerm($observation, $place, 1 / \count($observation->places), $network->priors, $network->seen);
                if (!$term->isSplit() || \count($term->high) < 2) {
                    $apart[] = $term;
                } elseif ($term->power < 1.0) {
                    $left[] = $term;
                } else {
                    $shared[] = $term;
                }
            }
        }
        usort($shared, static fn (OutcomeTerm $one, OutcomeTerm $other): int => $one->soundness() <=> $other->soundness());
        $groups = SummationPlan::plan($shared, $network);
        while (self::cost($groups) > self::MOST_COST) {
            $left[] = array_pop($shared) ?? throw new \LogicException('Nothing costs nothing.');
            $groups = SummationPlan::plan($shared, $network);
        }

        $inference = new self($network, $groups);
        // Each fault takes its own factor, whatever the others do.
        $inference->take($apart, $network->priors);
        $posterior = $inference->sum();
        if ([] === $left) {
            return $posterior;
        }
        $inference->take($left, $posterior->beliefs);

        return $inference->sum();
    }

    /** @param list<SummationPlan> $groups */
    private static function cost(array $groups): int
    {
        return array_sum(array_map(static fn (SummationPlan $group): int => $group->cost, $groups));
    }

    /**
     * @param list<OutcomeTerm>    $terms
     * @param array<string, float> $beliefs in the faults that a term cannot tell apart
     */
    private function take(array $terms, array $beliefs): void
    {
        foreach ($terms as $term) {
            foreach ($term->isSplit() ? $term->ratios($beliefs) : $term->high as $fault => $ratio) {
                $this->weights[$fault] *= $ratio ** $term->power;
            }
        }
    }

    private function sum(): Posterior
    {
        $clear = array_fill_keys($this->network->allSides(), 1.0);
        $beliefs = $touched = [];
        foreach ($this->groups as $group) {
            SummationPlan::take($group->sum($this->weights), $clear, $beliefs);
            $touched += $group->concerned;
        }
        $clusters = $this->network->clusters();
        foreach ($clusters as $cluster) {
            if (!isset($beliefs[$cluster->faults[0]])) {
                SummationPlan::take($cluster->sum($this->weights), $clear, $beliefs);
            }
        }
        foreach (array_diff_key($this->network->priors, $touched, $clusters) as $fault => $prior) {
            $with = $prior * $this->weights[$fault];
            $beliefs[$fault] = $with / (1 - $prior + $with);
            if (isset($this->network->sides[$fault])) {
                $clear[$this->network->sides[$fault]] *= 1 - $beliefs[$fault];
            }
        }
        $between = static fn (float $share): float => min(1.0, max(0.0, $share));
        $beliefs = array_map($between, $beliefs);
        $sides = array_map(static fn (float $share): float => 1 - $between($share), $clear);
        foreach (array_keys($this->network->seen) as $fault) {
            $beliefs[$fault] = self::SEEN;
            $side = $this->network->sides[$fault] ?? null;
            if (null !== $side) {
                $sides[$side] = self::SEEN;
            }
        }

        return new Posterior($beliefs, $sides);
    }
}
