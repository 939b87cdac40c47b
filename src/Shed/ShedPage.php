<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

/** A page of the shed's list; it is left by its first and last rows, not by a number, which would have to be counted to. */
final readonly class ShedPage
{
    /**
     * @param list<ShedRow> $rows
     * @param int|null      $before the number of the machine before which the last page ends; null where there is none
     * @param int|null      $after  that after which the next begins
     * @param bool          $isCut  whether so many were gone through that the rest waits to be asked for
     */
    public function __construct(public array $rows, public ?int $before, public ?int $after, public bool $isCut)
    {
    }
}
