<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** What is wrong with a document, gathered while it is read. */
final class Complaints
{
    /** @var list<PlanProblem> */
    private array $found = [];

    public function add(string $pointer, string $message): void
    {
        $this->found[] = new PlanProblem($pointer, $message);
    }

    /** @throws UnreadablePlanProblem when there are any */
    public function raise(): void
    {
        if ([] !== $this->found) {
            throw new UnreadablePlanProblem($this->found);
        }
    }
}
