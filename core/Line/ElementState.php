<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

/** One element with what is known of it and the findings that say so. */
final readonly class ElementState
{
    /** @param list<array{test: string, outcome: string}> $because */
    public function __construct(public Element $element, public Tone $tone, public array $because)
    {
    }
}
