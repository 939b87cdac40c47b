<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** A point that is checked before any cover goes on. */
final readonly class CoverCheck
{
    /**
     * @param string|null  $test the vocabulary's test it is; null where it is only ticked
     * @param list<string> $good the outcomes it passes with
     */
    public function __construct(public string $id, public ?string $test, public array $good)
    {
    }

    /** Whether what was seen passes it: a point that is no test is only ticked. */
    public function isPassedBy(?string $outcome): bool
    {
        return null === $this->test || \in_array($outcome, $this->good, true);
    }
}
