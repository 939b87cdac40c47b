<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\ElementTone;

/** One element of the line as drawn; lengths in the drawing's own units. */
final readonly class LineNode
{
    /**
     * @param array<string, string>   $things with what was made of them, the last touched last
     * @param array{int, int, string} $beside where that is written, from the middle of the box: right, down, and which end of the words stands there
     */
    public function __construct(
        public Element $element,
        public ElementTone $tone,
        public int $number,
        public int $left,
        public int $top,
        public int $width,
        public int $height,
        public string $address,
        public array $things,
        public array $beside,
    ) {
    }
}
