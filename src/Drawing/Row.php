<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\App\Unit\Figures;

/** A row with a long name: a share as a bar, and from what to what it goes. */
final readonly class Row
{
    /**
     * @param string $name  a label of translations/calc, or a fault
     * @param float  $share 0 to 1, as long as the bar is
     */
    public function __construct(public string $name, public Figures $chance, public Figures $least, public Figures $most, public float $share)
    {
    }
}
