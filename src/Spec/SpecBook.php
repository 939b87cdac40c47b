<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Spec\EngineClasses;
use AwakeShed\Core\Spec\Lookup;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

/** Looks a machine's figures up, so that nothing is typed twice. */
final readonly class SpecBook
{
    /** @param \Closure(): EngineClasses $classes made only where something is looked up */
    public function __construct(#[AutowireServiceClosure(EngineClasses::class)] private \Closure $classes)
    {
    }

    /** @param SpecPage|null $page that was chosen for it */
    public function lookUp(MachineFacts $machine, ?SpecPage $page): Lookup
    {
        return Lookup::onPage($machine, $page?->values() ?? [], ($this->classes)());
    }
}
