<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\Core\Spec\SourceClass;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use AwakeShed\Core\Units\Quantity;
use Symfony\Component\Validator\Constraints as Assert;

/** A figure as it is typed into a page of the spec book. */
final class SpecRow
{
    public ?Quantity $amount = null;

    public ?SourceClass $source = null;

    #[Assert\Length(max: SpecPage::LONGEST_NOTE)]
    public ?string $note = null;

    public static function fromValue(?SpecValue $value): self
    {
        $row = new self();
        $row->amount = null === $value ? null : SpecMeasure::quantity($value);
        $row->source = $value?->source;
        $row->note = $value?->note;

        return $row;
    }

    /**
     * @return SpecValue|null null for an empty row
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount outside what the figure allows
     */
    public function value(SpecFigure $figure): ?SpecValue
    {
        return null === $this->amount ? null : new SpecValue(
            $figure,
            round($this->amount->in($figure->possible()->unit), 6),
            $this->source ?? SourceClass::FromMemory,
            trim($this->note ?? ''),
        );
    }
}
