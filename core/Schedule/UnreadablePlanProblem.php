<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** A planning problem that is none. */
final class UnreadablePlanProblem extends \DomainException
{
    /** @param non-empty-list<PlanProblem> $problems in the order of the document */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(static fn (PlanProblem $one): string => $one->pointer.': '.$one->message, $problems)));
    }

    public static function because(string $message): self
    {
        return new self([new PlanProblem('', $message)]);
    }
}
