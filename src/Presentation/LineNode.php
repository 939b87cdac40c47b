<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

use AwakeShed\Core\Line\ElementState;

/** One element of the line as drawn; lengths in the drawing's own units. */
final readonly class LineNode
{
    public function __construct(
        public ElementState $state,
        public int $number,
        public int $left,
        public int $top,
        public int $width,
        public int $height,
        public string $address,
    ) {
    }
}
