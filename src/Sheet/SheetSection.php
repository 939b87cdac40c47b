<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

/** A part of a sheet that is a title and lines of words. */
final readonly class SheetSection
{
    /** @param non-empty-list<string> $lines */
    public function __construct(public string $id, public string $title, public array $lines)
    {
    }
}
