<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * Faults that bring one another by themselves, or one that was seen: they are summed over here, so that whoever sums over
 * findings need not know of it.
 *
 * Every set of those that bring others is gone through; given that set, the others are independent of one another (noisy-or,
 * J. Pearl 1988, published).
 */
final readonly class Cluster
{
    /** What it takes to sum, in factors applied. */
    public int $cost;

    /** @var array<string, true> the sides of the engine its faults are on, as keys */
    public array $sides;

    /** @var list<array{float, list<string>, array<string, true>, list<array{string, float, float, string|null}>}> chance of each set of bringers, who is in it, the sides that it leaves clear, and of each of the others how likely it is then to be there, not to be, and its side */
    private array $sets;

    /** @param non-empty-list<string> $faults */
    public function __construct(private Network $network, public array $faults)
    {
        $bringers = array_values(array_intersect(array_keys($network->brings), $faults));
        $sets = [[1.0, []]];
        foreach ($bringers as $bringer) {
            $next = [];
            foreach ($sets as [$chance, $there]) {
                $likely = $this->likely($bringer, $there);
                $next[] = [$chance * $likely, [...$there, $bringer]];
                if (!isset($network->seen[$bringer])) {
                    $next[] = [$chance * (1 - $likely), $there];
                }
            }
            $sets = $next;
        }
        $others = array_diff($faults, $bringers);
        $sides = [];
        foreach ($faults as $fault) {
            if (isset($network->sides[$fault])) {
                $sides[$network->sides[$fault]] = true;
            }
        }
        $this->sides = $sides;
        $complete = [];
        foreach ($sets as [$chance, $there]) {
            $clear = $sides;
            foreach ($there as $fault) {
                if (isset($network->sides[$fault])) {
                    unset($clear[$network->sides[$fault]]);
                }
            }
            $rest = [];
            foreach ($others as $fault) {
                $likely = $this->likely($fault, $there);
                // Of what was seen there is no chance that it is not there.
                $rest[] = [$fault, $likely, isset($network->seen[$fault]) ? 0.0 : 1 - $likely, $network->sides[$fault] ?? null];
            }
            $complete[] = [$chance, $there, $clear, $rest];
        }
        $this->sets = $complete;
        $this->cost = \count($sets) * (1 + \count($others)) * (1 + \count($this->sides));
    }

    /**
     * @param array<string, float> $weights by fault, how many times likelier what was found is with it than without
     *
     * @return array{float, array<string, float>, array<string, float>} the sum over all sets of its faults; by side, what of it has no fault there; by fault, what of it has that fault
     */
    public function sum(array $weights): array
    {
        $total = 0.0;
        $present = array_fill_keys($this->faults, 0.0);
        $without = array_fill_keys(array_keys($this->sides), 0.0);
        foreach ($this->sets as [$share, $there, $clear, $others]) {
            foreach ($there as $fault) {
                $share *= $weights[$fault];
            }
            $bare = [];
            foreach ($clear as $side => $_) {
                $bare[$side] = 1.0;
            }
            $parts = [];
            foreach ($others as [$fault, $likely, $absent, $side]) {
                $with = $likely * $weights[$fault];
                $either = $absent + $with;
                if ($either <= 0.0) {
                    continue 2;
                }
                $share *= $either;
                $parts[$fault] = $with / $either;
                if (isset($bare[$side])) {
                    $bare[$side] *= $absent / $either;
                }
            }
            $total += $share;
            foreach ($there as $fault) {
                $present[$fault] += $share;
            }
            foreach ($parts as $fault => $part) {
                $present[$fault] += $share * $part;
            }
            foreach ($bare as $side => $part) {
                $without[$side] += $share * $part;
            }
        }

        return [$total, $without, $present];
    }

    /**
     * @param list<string> $there
     *
     * @return float chance that a fault is there beside those that bring others
     */
    private function likely(string $fault, array $there): float
    {
        $absent = 1 - $this->network->priors[$fault];
        foreach ($there as $bringer) {
            $absent *= 1 - ($this->network->brings[$bringer][$fault] ?? 0.0);
        }

        return 1 - $absent;
    }
}
