<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** A carburetor type: its parts in the order they come off, and its passages. */
final readonly class CarburetorType
{
    /**
     * @param list<PartKind> $parts
     * @param list<Passage>  $passages
     */
    public function __construct(public string $id, public array $parts, public array $passages)
    {
    }

    /**
     * The type with its parts in an order of the shop's own.
     *
     * @param list<PartKind> $parts
     */
    public function inOrder(array $parts): self
    {
        return new self($this->id, $parts, $this->passages);
    }

    public function part(string $id): ?PartKind
    {
        foreach ($this->parts as $part) {
            if ($part->id === $id) {
                return $part;
            }
        }

        return null;
    }

    public function passage(string $id): ?Passage
    {
        foreach ($this->passages as $passage) {
            if ($passage->id === $id) {
                return $passage;
            }
        }

        return null;
    }

    /** @return list<string> every hole of the map, each once */
    public function ports(): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn (Passage $passage): array => [$passage->entry, ...$passage->exits], $this->passages))));
    }
}
