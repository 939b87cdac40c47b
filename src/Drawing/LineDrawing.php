<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\ElementTone;

/** Lays the line out for drawing: fuel runs from left to right, air and spark come from above; oil lies below, and beside it what the engine works with. */
final readonly class LineDrawing
{
    public const WIDTH = 1180;
    public const HEIGHT = 330;

    /** Left, top, width, height. */
    private const PLACES = [
        'cap' => [34, 10, 96, 56],
        'tank' => [16, 96, 132, 104],
        'screen' => [174, 117, 92, 62],
        'tap' => [276, 117, 92, 62],
        'filter' => [378, 117, 92, 62],
        'pipe' => [480, 117, 92, 62],
        'needle' => [582, 117, 92, 62],
        'bowl' => [684, 117, 92, 62],
        'jets' => [786, 117, 92, 62],
        'passages' => [888, 117, 92, 62],
        'air' => [888, 10, 92, 56],
        'spark' => [1050, 10, 96, 56],
        'cylinder' => [1032, 96, 132, 104],
        'crankcase' => [1032, 244, 132, 60],
        'exhaust' => [866, 244, 132, 60],
        'output' => [700, 244, 132, 60],
        'governor' => [534, 244, 132, 60],
        'starter' => [368, 244, 132, 60],
    ];

    /** Where what was made of it is written, from the middle of the box: right, down, and which end of the words stands there. */
    private const BESIDE = ['cap' => [56, 4, 'start'], 'spark' => [6, 44, 'start'], 'cylinder' => [-8, 68, 'end']];

    /** @param list<LineNode> $nodes */
    private function __construct(public array $nodes)
    {
    }

    /**
     * @param array<string, ElementTone>               $tones     what is known of each element
     * @param array<string, string>                    $addresses where touching an element leads
     * @param \Closure(Element): array<string, string> $things    of an element, with what was made of them, the last touched last
     */
    public static function laidOut(array $tones, array $addresses, \Closure $things): self
    {
        return new self(array_map(static function (Element $element, int $index) use ($tones, $addresses, $things): LineNode {
            [$left, $top, $width, $height] = self::PLACES[$element->value];

            return new LineNode($element, $tones[$element->value], $index + 1, $left, $top, $width, $height, $addresses[$element->value], $things($element), self::BESIDE[$element->value] ?? [0, intdiv($height, 2) + 15, 'middle']);
        }, Element::cases(), array_keys(Element::cases())));
    }
}
