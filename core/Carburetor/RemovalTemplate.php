<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/**
 * An order of parts a shop has saved of a ledger, to begin the next one of its kind with.
 *
 * @phpstan-type OrderArray list<array{id: string, name: string, material: string, asks: list<string>, stack: bool|string|null, size: string|null}>
 */
final readonly class RemovalTemplate
{
    /** @param list<PartKind> $parts */
    private function __construct(public array $parts)
    {
    }

    /** As the parts of this ledger came off, with the tools they took. */
    public static function fromLedger(PartsLedger $ledger): self
    {
        return new self(array_map(static function (Part $part) use ($ledger): PartKind {
            $kind = null === $part->kind ? null : $ledger->type?->part($part->kind);
            $asks = $kind->asks ?? array_values(array_diff(array_keys($part->notes), ['size']));

            return new PartKind($kind->id ?? 'own-'.$part->place, $part->material, $asks, $part->stack, $part->notes['size'] ?? $kind?->size, $part->name);
        }, array_values($ledger->parts)));
    }

    /** @param OrderArray $data of ours, as {@see toArray()} made it */
    public static function fromArray(array $data): self
    {
        return new self(array_map(static fn (array $part): PartKind => new PartKind($part['id'], Material::from($part['material']), $part['asks'], self::stack($part['stack']), $part['size'], $part['name']), $data));
    }

    /** @return OrderArray */
    public function toArray(): array
    {
        return array_map(static fn (PartKind $part): array => ['id' => $part->id, 'name' => $part->name, 'material' => $part->material->value, 'asks' => $part->asks, 'stack' => $part->stack, 'size' => $part->size], $this->parts);
    }

    /** Templates kept before stacks had names know only one. */
    private static function stack(bool|string|null $stored): ?string
    {
        return \is_string($stored) ? $stored : (true === $stored ? 'intake' : null);
    }
}
