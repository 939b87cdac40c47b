<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

use AwakeShed\Core\Table;

/** The pieces of work (data/pieces.json; from memory), in the trade's order. */
final readonly class PieceKinds
{
    /** @param array<string, PieceKind> $kinds by id */
    private function __construct(public array $kinds, public string $source)
    {
    }

    public static function shipped(): self
    {
        /** @var array{source_class: string, pieces: list<array{id: string, minutes: int, each?: int, spread: float, hands: string, uses?: list<string>, at_most_after?: int, batch?: bool, splits?: bool}>} $data */
        $data = Table::read(__DIR__.'/data/pieces.json');
        $kinds = [];
        foreach ($data['pieces'] as $one) {
            $kinds[$one['id']] = new PieceKind($one['id'], $one['minutes'], $one['each'] ?? null, $one['spread'], Hands::from($one['hands']), $one['uses'] ?? [], $one['at_most_after'] ?? null, $one['batch'] ?? false, $one['splits'] ?? false);
        }

        return new self($kinds, $data['source_class']);
    }

    public function kind(string $id): PieceKind
    {
        return $this->kinds[$id] ?? throw new \LogicException(\sprintf('There is no piece of work "%s".', $id));
    }
}
