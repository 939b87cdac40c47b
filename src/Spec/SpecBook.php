<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Spec\EngineClasses;
use AwakeShed\Core\Spec\Lookup;

/** Looks a machine's figures up, so that nothing is typed twice. */
final readonly class SpecBook
{
    public function __construct(private EngineClasses $classes)
    {
    }

    /** @param SpecPage|null $page that was chosen for it */
    public function lookUp(MachineFacts $machine, ?SpecPage $page): Lookup
    {
        return Lookup::onPage($machine, $page?->values() ?? [], $this->classes);
    }
}
