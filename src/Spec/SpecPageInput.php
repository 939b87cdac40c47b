<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use Symfony\Component\Validator\Constraints as Assert;

final class SpecPageInput
{
    #[Assert\NotBlank(message: 'What would you look it up under?', normalizer: 'trim')]
    #[Assert\Length(max: SpecPage::LONGEST_NAME)]
    public ?string $name = null;

    public ?MachineKind $kind = null;

    /** @var array<string, SpecRow> by the figure's name */
    #[Assert\Valid]
    public array $rows = [];

    /** @param array<string, SpecValue> $values by the figure's name */
    public static function fromPage(?SpecPage $page, array $values = []): self
    {
        $input = new self();
        $input->name = $page?->getName();
        $input->kind = $page?->getKind();
        $values = $page?->values() ?? $values;
        foreach (SpecFigure::cases() as $figure) {
            $input->rows[$figure->value] = SpecRow::fromValue($values[$figure->value] ?? null);
        }

        return $input;
    }

    /** @return list<SpecValue> */
    public function values(): array
    {
        return array_values(array_filter(array_map(fn (SpecFigure $figure): ?SpecValue => $this->rows[$figure->value]->value($figure), SpecFigure::cases())));
    }
}
