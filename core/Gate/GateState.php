<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

use AwakeShed\Core\Evidence\HoldDefinition;

/** How one gate of a machine stands. */
final readonly class GateState
{
    /**
     * @param list<string>                 $missing needed looks not made, or to be made again
     * @param list<HoldDefinition>         $holds   holds that the gate's looks have set and nothing has released
     * @param array<string, list<Blocker>> $closed  looks of the gate that may not be made yet, by test id
     */
    public function __construct(public Gate $gate, public array $missing, public array $holds, public array $closed)
    {
    }

    /** Nothing of it is needed: it is worth the minute, no more. */
    public function isOptional(): bool
    {
        return [] === $this->gate->needed && [] === $this->holds;
    }

    public function isPassed(): bool
    {
        return [] === $this->missing && [] === $this->holds;
    }
}
