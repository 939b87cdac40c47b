<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** A case document that says something impossible or in words that are none of ours. */
final class UnreadableCase extends \DomainException
{
    /** @param non-empty-list<CaseProblem> $problems in the order of the document */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(
            static fn (CaseProblem $problem): string => $problem->pointer.': '.$problem->message,
            $problems,
        )));
    }
}
