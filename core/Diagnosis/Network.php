<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * The faults a machine may have before any finding: how likely each is by itself, which bring others by themselves, which
 * were seen outright, and on which side of the engine each lies.
 *
 * A fault that was seen is there, whatever else was found: nothing explains away what somebody has looked at.
 */
final readonly class Network
{
    /**
     * @param array<string, float>                $priors by fault, above 0 and below 1
     * @param array<string, array<string, float>> $brings fault => chance by which it brings another by itself; one that is brought
     *                                                    brings others only after all that bring it
     * @param array<string, mixed>                $seen   faults, as keys
     * @param array<string, string>               $sides  by fault
     */
    public function __construct(public array $priors, public array $brings = [], public array $seen = [], public array $sides = [])
    {
    }

    /** @return array<string, Cluster> by fault: with all that brings it and all it brings */
    public function clusters(): array
    {
        $groups = [];
        foreach (array_keys($this->priors) as $fault) {
            $groups[$fault] = [$fault => true];
        }
        foreach (array_intersect_key($this->brings, $this->priors) as $bringer => $brought) {
            foreach (array_keys(array_intersect_key($brought, $this->priors)) as $fault) {
                $together = $groups[$bringer] + $groups[$fault];
                foreach (array_keys($together) as $one) {
                    $groups[$one] = $together;
                }
            }
        }
        $clusters = [];
        foreach ($groups as $fault => $group) {
            if (!isset($clusters[$fault])) {
                $cluster = new Cluster($this, array_keys($group));
                $clusters += array_fill_keys(array_keys($group), $cluster);
            }
        }

        return $clusters;
    }
}
