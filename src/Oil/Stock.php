<?php

declare(strict_types=1);

namespace AwakeShed\App\Oil;

use AwakeShed\Core\Units\Volume;

/** How much of an oil stands on the shelf, by the book. */
final readonly class Stock
{
    /** Below this the next change may find too little (common practice: a small four-stroke takes half a liter to one). */
    private const LOW_ML = 1000.0;

    public function __construct(public int $id, public string $name, public Volume $left, public Volume $used)
    {
    }

    public function isLow(): bool
    {
        return $this->left->inMillilitres() < self::LOW_ML;
    }
}
