<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\TestPattern;

/** A state of a thing in which tests are closed (data/closures.json), whatever was found. */
final readonly class Closure
{
    /**
     * @param list<string|null>           $states      after the last act; null for what nobody has touched
     * @param list<string>                $places      on, off, in, out; empty: wherever it is
     * @param list<string>                $unlessState last acts that let go
     * @param array<string, list<string>> $unless      findings made since the thing was last touched that let go
     * @param string|null                 $unlessAct   an act since then that lets go
     * @param list<string>                $blocks      test ids or patterns
     * @param non-empty-list<string>      $until       acts, or looks, that open them
     * @param list<MachineKind>|null      $kinds
     * @param list<Cycle>|null            $cycles
     */
    public function __construct(
        public string $id,
        public string $thing,
        private array $states,
        private array $places,
        private array $unlessState,
        private array $unless,
        private ?string $unlessAct,
        private array $blocks,
        public array $until,
        private ?array $kinds,
        private ?array $cycles,
    ) {
    }

    public function blocks(string $test): bool
    {
        return TestPattern::matchesAny($this->blocks, $test);
    }

    public function holds(CaseFile $case): bool
    {
        if ((null !== $this->kinds && !\in_array($case->machine->kind, $this->kinds, true)) || (null !== $this->cycles && !\in_array($case->machine->cycle, $this->cycles, true))) {
            return false;
        }
        $state = $case->state;
        if (([] !== $this->places && !\in_array($state->place($this->thing), $this->places, true))
            || ([] !== $this->states && !\in_array($state->stateOf($this->thing), $this->states, true))
            || \in_array($state->stateOf($this->thing), $this->unlessState, true)) {
            return false;
        }
        $touched = $state->touched($this->thing);
        foreach ($this->unless as $test => $outcomes) {
            if ($case->foundAt($test) > $touched && true === $case->standing($test)?->saysAnyOf($outcomes)) {
                return false;
            }
        }

        return null === $this->unlessAct || $state->last($this->unlessAct) < $touched;
    }
}
