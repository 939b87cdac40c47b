<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Spec\SpecValue;
use Twig\Attribute\AsTwigFilter;

/** Shows the spec book's figures in the reader's units. */
final readonly class SpecExtension
{
    public function __construct(private Quantities $quantities)
    {
    }

    #[AsTwigFilter('spec')]
    public function spec(SpecValue $value): string
    {
        return $this->quantities->show(SpecMeasure::quantity($value), SpecMeasure::forFigure($value->figure));
    }
}
