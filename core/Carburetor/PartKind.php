<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** A part of a carburetor type, in its place in the order of removal. */
final readonly class PartKind
{
    /**
     * @param list<string> $asks  what is written down before it leaves its place: orientation, hole, turns, bore
     * @param string|null  $stack among whose gaskets its order counts
     * @param string|null  $size  of the tool it usually takes
     * @param string       $name  of its own, empty where the id says it
     */
    public function __construct(public string $id, public Material $material, public array $asks, public ?string $stack, public ?string $size, public string $name = '')
    {
    }
}
