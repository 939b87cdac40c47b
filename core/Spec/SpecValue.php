<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spec;

use AwakeShed\Core\Units\ImpossibleAmount;

/** One figure of a spec book and how it is known. */
final readonly class SpecValue
{
    /**
     * @param float  $amount in the unit of the figure's name
     * @param string $note   where it stands, or who said so
     *
     * @throws ImpossibleAmount outside what the figure allows
     */
    public function __construct(public SpecFigure $figure, public float $amount, public SourceClass $source, public string $note = '')
    {
        $possible = $figure->possible();
        ImpossibleAmount::unlessBetween($amount, $possible->least, $possible->most, $possible->unit->symbol());
    }
}
