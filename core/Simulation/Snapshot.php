<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

use AwakeShed\Core\Diagnosis\Beliefs;
use AwakeShed\Core\Diagnosis\Suspect;

/**
 * What was believed of one machine at one moment, beside what was so. The moment depends on nothing but the findings: a
 * count of tests drawn beforehand, or before that the first time one is sure of a fault. One that depended on the truth
 * would flatter the beliefs or slander them.
 */
final class Snapshot
{
    private int $seen = -1;
    private bool $taken = false;

    /** @var array<string, array{float, bool}> by fault, how far it was believed and whether it was there */
    private array $pairs = [];

    public function __construct(private readonly int $afterTests)
    {
    }

    public function see(Beliefs $beliefs, HiddenMachine $machine): void
    {
        if ($this->taken) {
            return;
        }
        $this->pairs = [];
        $surest = 0.0;
        foreach ($beliefs->now as $fault => $belief) {
            $this->pairs[$fault] = [$belief, $machine->has($fault)];
            $surest = Suspect::canPutRight($fault) ? max($surest, $belief) : $surest;
        }
        $this->taken = ++$this->seen >= $this->afterTests || $surest >= Suspect::SURE;
    }

    public function isTaken(): bool
    {
        return $this->taken;
    }

    /** @return list<array{float, bool}> */
    public function pairs(): array
    {
        return array_values($this->pairs);
    }

    /** @return array{float, bool}|null of the fault believed most */
    public function first(): ?array
    {
        return [] === $this->pairs ? null : max($this->pairs);
    }
}
