<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** A fault was cured at this point of the job; what was found of it before no longer speaks. */
final readonly class PutRight
{
    /** @param array<string, mixed> $extras keys of a read case file that mean nothing here, kept for writing */
    public function __construct(public string $fault, public array $extras = [])
    {
    }
}
