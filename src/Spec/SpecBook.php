<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Job\Machine;
use AwakeShed\Core\Spec\EngineClasses;
use AwakeShed\Core\Spec\Lookup;

/** Looks a machine's figures up, so that nothing is typed twice. */
final readonly class SpecBook
{
    public function __construct(private EngineClasses $classes)
    {
    }

    public function of(Machine $machine): Lookup
    {
        return Lookup::of($machine->facts(), $machine->getSpec()?->values() ?? [], $this->classes);
    }
}
