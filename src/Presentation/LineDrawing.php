<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\ElementState;

/** Lays the line out for drawing: fuel runs from left to right, air and spark come from above, oil lies below. */
final readonly class LineDrawing
{
    public const WIDTH = 1180;
    public const HEIGHT = 316;

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
    ];

    /** @param list<LineNode> $nodes */
    private function __construct(public array $nodes)
    {
    }

    /**
     * @param non-empty-list<ElementState> $states  in the order of the line
     * @param \Closure(Element): string    $address where touching an element leads
     */
    public static function of(array $states, \Closure $address): self
    {
        return new self(array_map(static fn (ElementState $state, int $index): LineNode => new LineNode(
            $state,
            $index + 1,
            ...self::PLACES[$state->element->value],
            address: $address($state->element),
        ), $states, array_keys($states)));
    }
}
