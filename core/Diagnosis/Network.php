<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * The faults a machine may have before any finding: how likely each is by itself, which bring others by themselves, which
 * were seen outright, and on which side of the engine each lies.
 *
 * A fault that was seen is there, whatever else was found: nothing explains away what somebody has looked at.
 */
final class Network
{
    /** @var array<string, Cluster>|null by fault */
    private ?array $clusters = null;

    /** @var list<string>|null */
    private ?array $allSides = null;

    /** @var array<string, float>|null by fault */
    private ?array $before = null;

    /**
     * @param array<string, float>                $priors by fault, above 0 and below 1
     * @param array<string, array<string, float>> $brings fault => chance by which it brings another by itself; one that is brought
     *                                                    brings others only after all that bring it
     * @param array<string, mixed>                $seen   faults, as keys
     * @param array<string, string>               $sides  by fault
     */
    public function __construct(public readonly array $priors, public readonly array $brings = [], public readonly array $seen = [], public readonly array $sides = [])
    {
    }

    /** @return array<string, float> how likely each fault is before anything is found, with what brings it */
    public function before(): array
    {
        return $this->before ??= Inference::posterior($this, [])->beliefs;
    }

    /** @param list<string> $seen faults */
    public function withSeen(array $seen): self
    {
        $added = array_diff_key(array_intersect_key(array_fill_keys($seen, true), $this->priors), $this->seen);

        return [] === $added ? $this : new self($this->priors, $this->brings, $this->seen + $added, $this->sides);
    }

    /** @return list<string> every side a fault lies on */
    public function allSides(): array
    {
        return $this->allSides ??= array_values(array_unique($this->sides));
    }

    /** @return array<string, Cluster> those that were seen, or bring others or are brought, each with all it hangs together with, by fault */
    public function clusters(): array
    {
        return $this->clusters ??= $this->clustered();
    }

    /** @return array<string, Cluster> */
    private function clustered(): array
    {
        $groups = [];
        foreach (array_keys($this->seen) as $fault) {
            $groups[$fault] = [$fault => true];
        }
        foreach (array_intersect_key($this->brings, $this->priors) as $bringer => $brought) {
            foreach (array_keys(array_intersect_key($brought, $this->priors)) as $fault) {
                $together = ($groups[$bringer] ?? [$bringer => true]) + ($groups[$fault] ?? [$fault => true]);
                foreach (array_keys($together) as $one) {
                    $groups[$one] = $together;
                }
            }
        }
        $clusters = [];
        foreach ($groups as $fault => $group) {
            if (!isset($clusters[$fault])) {
                $clusters += array_fill_keys(array_keys($group), new Cluster($this, array_keys($group)));
            }
        }

        return $clusters;
    }
}
