<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

/** A trace in a list, without its samples. */
final readonly class TraceLine
{
    public function __construct(public int $id, public string $name, public string $by, public \DateTimeImmutable $at, public ?int $job)
    {
    }
}
