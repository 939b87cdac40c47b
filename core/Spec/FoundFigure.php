<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spec;

/** A figure, and where it was found. */
final readonly class FoundFigure
{
    public function __construct(public SpecValue $value, public FoundIn $in)
    {
    }
}
