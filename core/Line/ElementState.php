<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

/** One element with what is known of it and the findings that say so. */
final readonly class ElementState
{
    /** @param list<array{test: string, outcome: string}> $because */
    public function __construct(public Element $element, public ElementTone $tone, public array $because)
    {
    }

    /** This, unless it is outweighed by a suspicion; what was proved good only by a likely one. */
    public function or(self $suspicion): self
    {
        $outweighs = match ($this->tone) {
            ElementTone::NotLookedAt => true,
            ElementTone::Good, ElementTone::PutRight => $suspicion->tone->weight() >= ElementTone::Likely->weight(),
            default => false,
        };

        return $outweighs && $suspicion->tone->isSuspicion() ? $suspicion : $this;
    }
}
