<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** Where a value lies in a rising table: after which node, and what share of the way to the next (0 to 1). */
final readonly class TableBracket
{
    public function __construct(public int $below, public float $share)
    {
    }
}
