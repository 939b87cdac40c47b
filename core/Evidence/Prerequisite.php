<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** A house rule: what must be done to a machine of which the owner says it has stood at least so long. */
final readonly class Prerequisite
{
    /** @param list<string> $blocks test ids or patterns closed until it is done */
    public function __construct(
        public string $test,
        public string $outcome,
        public array $blocks,
        public string $claim,
        public float $atLeast,
    ) {
    }

    public function blocks(string $test): bool
    {
        return TestPattern::matchesAny($this->blocks, $test);
    }
}
