<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** One thing wrong with a case document, and where: a JSON pointer (RFC 6901). */
final readonly class CaseProblem
{
    /** @param array<string, string|int|float> $figures */
    public function __construct(public string $pointer, public string $reason, public string $message, public array $figures = [])
    {
    }
}
