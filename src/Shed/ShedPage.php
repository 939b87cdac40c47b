<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

/** A page of the shed's list; it is left by its first and last rows, not by a number, which would have to be counted to. */
final readonly class ShedPage
{
    /** @param list<ShedRow> $rows */
    public function __construct(public array $rows, public bool $isBefore, public bool $isAfter)
    {
    }
}
