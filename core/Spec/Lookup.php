<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spec;

use AwakeShed\Core\Evidence\MachineFacts;

/** Looks a figure up where it is best known: on the machine, then on its page of the spec book, then in its class. */
final readonly class Lookup
{
    /** @param array<string, SpecValue> $page by the figure's name */
    private function __construct(private MachineFacts $machine, private array $page, private ?EngineClass $class)
    {
    }

    /** @param array<string, SpecValue> $page of the shop's own spec book, by the figure's name; empty for none */
    public static function onPage(MachineFacts $machine, array $page, EngineClasses $classes): self
    {
        $cc = $machine->displacementCc ?? ($page[SpecFigure::Displacement->value] ?? null)?->amount;

        return new self($machine, $page, $classes->forEngine($machine->kind, $cc));
    }

    public function find(SpecFigure $figure): ?FoundFigure
    {
        $own = $this->machine->numbers()[$figure->value] ?? (SpecFigure::Cylinders === $figure ? $this->machine->cylinders : null);

        return match (true) {
            null !== $own => new FoundFigure(new SpecValue($figure, $own, SourceClass::Measured), FoundIn::Machine),
            isset($this->page[$figure->value]) => new FoundFigure($this->page[$figure->value], FoundIn::Page),
            isset($this->class->values[$figure->value]) => new FoundFigure($this->class->values[$figure->value], FoundIn::EngineClass),
            default => null,
        };
    }

    /** @return list<FoundFigure> all that is known, in the book's order */
    public function all(): array
    {
        return array_values(array_filter(array_map($this->find(...), SpecFigure::cases())));
    }
}
