<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\App\Unit\Figures;

/** One bar: how high, where its truth may lie, and what is written at it. */
final readonly class Bar
{
    /** @param string $label an id of translations/calc, or a number as it is */
    public function __construct(public string $label, public float $amount, public Figures $shown, public ?float $least = null, public ?float $most = null)
    {
    }
}
