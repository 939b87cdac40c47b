<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * A term summed over both its products, and what is left to sum once it is fixed: groups of terms that share no fault
 * any more, so that their sums multiply instead of doubling one another.
 */
final readonly class SummationPlan
{
    /** What it takes to sum, in factors applied. */
    public int $cost;

    /** @var array<string, float> the faults concerned, as keys */
    public array $faults;

    /**
     * @param list<string> $settled the faults that no later term concerns
     * @param list<self>   $groups
     */
    private function __construct(private OutcomeTerm $term, private array $settled, private array $groups)
    {
        $cost = \count($term->high) + \count($settled);
        $faults = $term->high;
        foreach ($groups as $group) {
            $cost += $group->cost;
            $faults += $group->faults;
        }
        $this->cost = 2 * $cost;
        $this->faults = $faults;
    }

    /**
     * @param list<OutcomeTerm> $terms
     *
     * @return list<self>
     */
    public static function plan(array $terms): array
    {
        $groups = [];
        while ([] !== $terms) {
            $group = [array_shift($terms)];
            for ($next = 0; isset($group[$next]); ++$next) {
                foreach ($terms as $place => $term) {
                    if ([] !== array_intersect_key($group[$next]->high, $term->high)) {
                        $group[] = $term;
                        unset($terms[$place]);
                    }
                }
            }
            $groups[] = self::ofGroup($group);
        }

        return $groups;
    }

    /** @param non-empty-list<OutcomeTerm> $terms that hang together */
    private static function ofGroup(array $terms): self
    {
        // The one that concerns most faults holds most of the others together.
        usort($terms, static fn (OutcomeTerm $one, OutcomeTerm $other): int => \count($other->high) <=> \count($one->high));
        $widest = array_shift($terms);
        $later = [];
        foreach ($terms as $term) {
            $later += $term->high;
        }

        return new self($widest, array_keys(array_diff_key($widest->high, $later)), self::plan($terms));
    }

    /**
     * @param array<string, float> $weights odds of each fault
     *
     * @return array{float, array<string, float>} the sum over all sets of the faults concerned; of it what each is there in
     */
    public function sum(array $weights): array
    {
        $total = 0.0;
        $present = [];
        foreach ([[$this->term->soundHigh, $this->term->high], [-$this->term->soundLow, $this->term->low]] as [$share, $factors]) {
            $next = array_intersect_key($weights, $this->faults);
            foreach ($factors as $fault => $factor) {
                $next[$fault] *= $factor;
            }
            foreach ($this->settled as $fault) {
                $share *= 1 + $next[$fault];
            }
            $sums = [];
            foreach ($this->groups as $number => $group) {
                $sums[$number] = $group->sum($next);
                $share *= $sums[$number][0];
            }
            $total += $share;
            foreach ($this->settled as $fault) {
                $present[$fault] = ($present[$fault] ?? 0.0) + $share * $next[$fault] / (1 + $next[$fault]);
            }
            foreach ($sums as [$sum, $within]) {
                $others = 0.0 === $sum ? 0.0 : $share / $sum;
                foreach ($within as $fault => $part) {
                    $present[$fault] = ($present[$fault] ?? 0.0) + $others * $part;
                }
            }
        }

        return [$total, $present];
    }
}
