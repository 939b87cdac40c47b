<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * The probability of each fault given what was observed: exact, by summing over the two bounds of each observation
 * (quickscore, D. Heckerman 1989, published). What a test showed at its least alarming outcome costs nothing; each
 * alarming one doubles the sum of what hangs together with it ({@see SummationPlan}). Where the sum would take too long, the
 * outcomes a sound machine shows most easily are taken one by one against what the others left believed; so are several
 * outcomes of one test, which share it.
 */
final class Inference
{
    /** Factors applied in one sum; about two milliseconds. */
    private const MOST_COST = 12_000;

    /** As good as there, and as good as not. */
    private const CERTAIN = 1e-9;

    /** @var array<string, float> by fault, what the observations that need no sum multiply its odds by */
    private array $factors;

    /**
     * @param array<string, float>                $priors by fault
     * @param list<SummationPlan>                 $groups
     * @param array<string, array<string, float>> $brings those that matter
     */
    private function __construct(private readonly array $priors, private readonly array $groups, private readonly array $brings)
    {
        $this->factors = array_fill_keys(array_keys($priors), 1.0);
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
        $shared = $left = $apart = [];
        foreach ($observations as $observation) {
            foreach ($observation->places as $place) {
                $term = new OutcomeTerm($observation, $place, 1 / \count($observation->places), $priors);
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
        $groups = SummationPlan::plan($shared);
        while (self::cost($groups) > self::MOST_COST) {
            $left[] = array_pop($shared) ?? throw new \LogicException('Nothing costs nothing.');
            $groups = SummationPlan::plan($shared);
        }

        $inference = new self($priors, $groups, self::thatMatter(array_intersect_key($brings, $priors), $observations));
        // Each fault takes its own factor, whatever the others do.
        $inference->take($apart, $priors);
        $beliefs = $inference->beliefs();
        if ([] === $left) {
            return $beliefs;
        }
        $inference->take($left, $beliefs);

        return $inference->beliefs();
    }

    /** @param list<SummationPlan> $groups */
    private static function cost(array $groups): int
    {
        return array_sum(array_map(static fn (SummationPlan $group): int => $group->cost, $groups));
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
     * @param list<OutcomeTerm>    $terms
     * @param array<string, float> $beliefs in the faults that a term cannot tell apart
     */
    private function take(array $terms, array $beliefs): void
    {
        foreach ($terms as $term) {
            foreach ($term->isSplit() ? $term->ratios($beliefs) : $term->high as $fault => $ratio) {
                $this->factors[$fault] *= $ratio ** $term->power;
            }
        }
    }

    /** @return array<string, float> by fault */
    private function beliefs(): array
    {
        $touched = $this->brings;
        foreach ($this->brings as $brought) {
            $touched += array_intersect_key($brought, $this->priors);
        }
        $weights = [];
        foreach ($this->priors as $fault => $prior) {
            $weights[$fault] = $prior / (1 - $prior) * $this->factors[$fault];
        }
        // What no supposition touches is the same under all of them.
        $beliefs = array_map(static fn (float $weight): float => $weight / (1 + $weight), $weights);
        $touchedGroups = [];
        foreach ($this->groups as $group) {
            if ([] !== array_intersect_key($group->faults, $touched)) {
                $touchedGroups[] = $group;
                continue;
            }
            [$total, $present] = $group->sum($weights);
            foreach ($present as $fault => $part) {
                $beliefs[$fault] = self::share($part, $total);
            }
        }
        $evidence = 0.0;
        $within = [];
        for ($case = 0; $case < 2 ** \count($this->brings); ++$case) {
            [$likelihood, $here] = $this->supposing($case, $touched, $touchedGroups, $weights);
            $evidence += $likelihood;
            foreach ($here as $fault => $belief) {
                $within[$fault] = ($within[$fault] ?? 0.0) + $likelihood * $belief;
            }
        }

        return array_replace($beliefs, array_map(static fn (float $part): float => self::share($part, $evidence), $within));
    }

    /**
     * @param int                  $case    a bit for each fault that brings others: whether it is there
     * @param array<string, mixed> $touched the faults whose weight depends on that, as keys
     * @param list<SummationPlan>  $groups  that concern any of them
     * @param array<string, float> $weights
     *
     * @return array{float, array<string, float>} how likely that and all that was seen is, and the beliefs that go with it
     */
    private function supposing(int $case, array $touched, array $groups, array $weights): array
    {
        $likelihood = 1.0;
        $priors = array_intersect_key($this->priors, $touched);
        foreach (array_keys($this->brings) as $number => $fault) {
            $isThere = 0 !== ($case >> $number & 1);
            $likelihood *= $isThere ? $priors[$fault] : 1 - $priors[$fault];
            $priors[$fault] = $isThere ? 1 - self::CERTAIN : self::CERTAIN;
            foreach ($isThere ? array_intersect_key($this->brings[$fault], $priors) : [] as $brought => $chance) {
                $priors[$brought] = 1 - (1 - $priors[$brought]) * (1 - $chance);
            }
        }
        $alone = [];
        foreach ($priors as $fault => $prior) {
            $weights[$fault] = $prior / (1 - $prior) * $this->factors[$fault];
            $likelihood *= 1 - $prior;
            $alone[$fault] = true;
        }
        $beliefs = [];
        foreach ($groups as $group) {
            [$total, $present] = $group->sum($weights);
            $likelihood *= max(0.0, $total);
            foreach ($present as $fault => $part) {
                $beliefs[$fault] = self::share($part, $total);
                unset($alone[$fault]);
            }
        }
        foreach (array_keys($alone) as $fault) {
            $likelihood *= 1 + $weights[$fault];
            $beliefs[$fault] = $weights[$fault] / (1 + $weights[$fault]);
        }

        return [$likelihood, $beliefs];
    }

    private static function share(float $part, float $total): float
    {
        return $total <= 0.0 ? 0.0 : min(1.0, max(0.0, $part / $total));
    }
}
