<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

/** A row of a file that cannot be taken. */
final readonly class SpecProblem
{
    /** @param string $place the line of a CSV file, the pointer in a JSON file */
    public function __construct(public string $place, public string $message)
    {
    }
}
