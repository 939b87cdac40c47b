<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

use AwakeShed\Core\Table;

/** What cleans which material and what it must be kept out of (data/cleaning.json; common practice). */
final readonly class Cleaning
{
    /**
     * @param array<string, list<string>>          $does    methods by material, in the order they are tried
     * @param array<string, array<string, string>> $keepOut reason by method by material
     * @param array<string, int>                   $minutes usual, of what runs by itself, by method
     */
    private function __construct(private array $does, private array $keepOut, private array $minutes)
    {
    }

    public static function shipped(): self
    {
        /** @var array{methods: array<string, array{usual?: int}>, materials: array<string, array{do: list<string>, keep_out: array<string, string>}>} $data */
        $data = Table::read(__DIR__.'/data/cleaning.json');
        $usual = array_filter(array_map(static fn (array $method): ?int => $method['usual'] ?? null, $data['methods']), \is_int(...));

        return new self(
            array_map(static fn (array $material): array => $material['do'], $data['materials']),
            array_map(static fn (array $material): array => $material['keep_out'], $data['materials']),
            $usual,
        );
    }

    /**
     * How a part is cleaned: none where it is renewed or sound.
     *
     * @return list<Method>
     */
    public function planFor(Part $part, bool $isAirUsed): array
    {
        if (PartFate::Clean !== $part->fate()) {
            return [];
        }
        $methods = $this->does[$part->material->value];
        // A film of rust wants its acid; what eats the metal is kept out below.
        if (Condition::Rust === $part->condition && !isset($this->keepOut[$part->material->value][Method::Vinegar->value])) {
            $methods[] = Method::Vinegar->value;
        }

        return array_values(array_filter(array_map(Method::from(...), $methods), static fn (Method $method): bool => Method::Air !== $method || $isAirUsed));
    }

    /** @return array<string, string> method => the reason's name */
    public function keptOutOf(Material $material): array
    {
        return $this->keepOut[$material->value];
    }

    /** @throws ImpossibleMove when the material must stay out of it */
    public function demand(Material $material, Method $method): void
    {
        $why = $this->keepOut[$material->value][$method->value] ?? null;
        if (null !== $why) {
            throw ImpossibleMove::keptOut($method->value, $material->value, $why);
        }
    }

    /** Minutes it takes by itself; null where hands do it. */
    public function minutes(Method $method): ?int
    {
        return $this->minutes[$method->value] ?? null;
    }
}
