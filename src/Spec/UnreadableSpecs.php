<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

/** A spec-book file with rows that cannot be taken; none of it is. */
final class UnreadableSpecs extends \InvalidArgumentException
{
    /** @param non-empty-list<SpecProblem> $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(\sprintf('%d rows cannot be taken.', \count($problems)));
    }
}
