<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** One thing wrong with a planning problem as it was written down, and where: a JSON pointer (RFC 6901). */
final readonly class PlanProblem
{
    public function __construct(public string $pointer, public string $message)
    {
    }
}
