<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** An act of the vocabulary: what it changes, which earlier looks no longer speak after it, what it puts right. */
final readonly class ActDefinition
{
    /** States that say where a thing is, and not how it is. */
    private const PLACES = ['off' => 'off', 'on' => 'on', 'out' => 'out', 'in' => 'in', 'on_not_checked' => 'on', 'on_and_checked' => 'on', 'replaced' => 'on'];

    /**
     * @param string                 $thing     of the machine
     * @param string                 $state     that it is in afterwards
     * @param list<string>           $voids     tests whose earlier findings stand no longer
     * @param list<string>           $putsRight faults
     * @param list<string>           $measured  figures it may carry: ml, minutes, times, pulls, turns, mm, rpm
     * @param list<MachineKind>|null $kinds     null: every kind
     * @param list<Finding>          $shows     what it says in the words of tests by itself
     */
    public function __construct(
        public string $id,
        public string $thing,
        public string $state,
        public array $voids,
        public array $putsRight,
        public array $measured,
        public ?array $kinds,
        public array $shows,
    ) {
    }

    /** @return string|null on, off, in or out, where the act says */
    public function place(): ?string
    {
        return self::PLACES[$this->state] ?? null;
    }
}
