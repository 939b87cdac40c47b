<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * A term summed over both its products, and what is left to sum once it is fixed: groups of terms that share no cluster of
 * faults any more, so that their sums multiply instead of doubling one another.
 */
final readonly class SummationPlan
{
    /** What it takes to sum, in factors applied. */
    public int $cost;

    /** @var array<string, Cluster|null> clusters that the terms concern, by their number, and faults by themselves, by name */
    public array $concerned;

    /** @var list<string> faults by themselves that no later term concerns */
    private array $alone;

    /** @var list<Cluster> those that no later term concerns */
    private array $settled;

    /**
     * @param array<string, Cluster|null> $own    what the term concerns
     * @param array<string, Cluster|null> $later  what later terms concern
     * @param list<self>                  $groups
     */
    private function __construct(private OutcomeTerm $term, array $own, array $later, private array $groups, private Network $network)
    {
        $cost = \count($term->high);
        $alone = $settled = [];
        foreach (array_diff_key($own, $later) as $name => $cluster) {
            if (null === $cluster) {
                $alone[] = $name;
                ++$cost;
            } else {
                $settled[] = $cluster;
                $cost += $cluster->cost;
            }
        }
        foreach ($groups as $group) {
            $cost += $group->cost;
        }
        $this->alone = $alone;
        $this->settled = $settled;
        $this->cost = 2 * $cost;
        $this->concerned = $own + $later;
    }

    /**
     * @param list<OutcomeTerm> $terms
     *
     * @return list<self>
     */
    public static function plan(array $terms, Network $network): array
    {
        $plans = [];
        $concerned = array_map(static fn (OutcomeTerm $term): array => self::concerned($term, $network), $terms);
        while ([] !== $terms) {
            $first = array_key_first($terms);
            $group = [$first => $terms[$first]];
            unset($terms[$first]);
            for ($reached = $concerned[$first], $grows = true; $grows;) {
                $grows = false;
                foreach ($terms as $place => $term) {
                    if ([] !== array_intersect_key($reached, $concerned[$place])) {
                        $group[$place] = $term;
                        $reached += $concerned[$place];
                        unset($terms[$place]);
                        $grows = true;
                    }
                }
            }
            $plans[] = self::ofGroup($group, $network);
        }

        return $plans;
    }

    /**
     * @param non-empty-array<OutcomeTerm> $terms that hang together
     */
    private static function ofGroup(array $terms, Network $network): self
    {
        // The one that concerns most faults holds most of the others together.
        usort($terms, static fn (OutcomeTerm $one, OutcomeTerm $other): int => \count($other->high) <=> \count($one->high));
        $widest = array_shift($terms);
        $later = [];
        foreach ($terms as $term) {
            $later += self::concerned($term, $network);
        }

        return new self($widest, self::concerned($widest, $network), $later, self::plan($terms, $network), $network);
    }

    /** @return array<string, Cluster|null> */
    private static function concerned(OutcomeTerm $term, Network $network): array
    {
        $clusters = $network->clusters();
        $concerned = [];
        foreach ($term->high as $fault => $_) {
            $cluster = $clusters[$fault] ?? null;
            $concerned[null === $cluster ? $fault : '#'.spl_object_id($cluster)] = $cluster;
        }

        return $concerned;
    }

    /**
     * @param array<string, float> $weights by fault, how many times likelier what was found is with it than without
     *
     * @return array{float, array<string, float>, array<string, float>} the sum over all sets of the faults concerned; by side, what of it has no fault there; by fault, what of it has that fault
     */
    public function sum(array $weights): array
    {
        $total = 0.0;
        $without = array_fill_keys($this->network->allSides(), 0.0);
        $present = [];
        [$priors, $sides] = [$this->network->priors, $this->network->sides];
        foreach ([[$this->term->soundHigh, $this->term->high], [-$this->term->soundLow, $this->term->low]] as [$share, $factors]) {
            $next = $weights;
            foreach ($factors as $fault => $factor) {
                $next[$fault] *= $factor;
            }
            $clear = array_fill_keys($this->network->allSides(), 1.0);
            $parts = [];
            foreach ($this->alone as $fault) {
                $with = $priors[$fault] * $next[$fault];
                $either = 1 - $priors[$fault] + $with;
                $share *= $either;
                $parts[$fault] = $with / $either;
                if (isset($sides[$fault])) {
                    $clear[$sides[$fault]] *= 1 - $parts[$fault];
                }
            }
            foreach ($this->settled as $cluster) {
                $share *= self::take($cluster->sum($next), $clear, $parts);
            }
            foreach ($this->groups as $group) {
                $share *= self::take($group->sum($next), $clear, $parts);
            }
            $total += $share;
            foreach ($parts as $fault => $part) {
                $present[$fault] = ($present[$fault] ?? 0.0) + $share * $part;
            }
            foreach ($clear as $side => $part) {
                $without[$side] += $share * $part;
            }
        }

        return [$total, $without, $present];
    }

    /**
     * @param array{float, array<string, float>, array<string, float>} $sum
     * @param array<string, float>                                     $clear by side, the share without a fault there
     * @param array<string, float>                                     $parts by fault, the share with it
     */
    public static function take(array $sum, array &$clear, array &$parts): float
    {
        [$total, $without, $present] = $sum;
        $scale = 0.0 === $total ? 0.0 : 1 / $total;
        foreach ($without as $side => $part) {
            $clear[$side] *= $part * $scale;
        }
        foreach ($present as $fault => $part) {
            $parts[$fault] = $part * $scale;
        }

        return $total;
    }
}
