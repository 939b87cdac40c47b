<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** Something was done to the machine at this point of the job. */
final readonly class Done
{
    /**
     * @param array<string, mixed> $measured figures of it
     * @param array<string, mixed> $extras   keys of a read case file that mean nothing here, kept for writing
     */
    public function __construct(public ActDefinition $act, public array $measured = [], public array $extras = [])
    {
    }
}
