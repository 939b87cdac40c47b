<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

use AwakeShed\Core\Evidence\Finding;

/**
 * One thing done at the carburetor bench: what it makes of the ledger, what it finds, and the words it is stored in.
 *
 * @phpstan-import-type OrderArray from RemovalTemplate
 *
 * @phpstan-type MoveArray array{kind: string, place: int|null, said: array<string, string>, order?: OrderArray}
 */
abstract readonly class Move
{
    abstract public function kind(): MoveKind;

    /** @return array<string, string> by field; which ones hangs on the kind */
    abstract public function said(): array;

    /**
     * What it makes of the ledger; {@see PartsLedger::after()} asks first whether it is open.
     *
     * @throws ImpossibleMove when it cannot be done as the ledger stands
     */
    abstract public function on(PartsLedger $ledger): PartsLedger;

    /** The place of the part it is about. */
    public function place(): ?int
    {
        return null;
    }

    /** @return list<Finding> what it says in the vocabulary's words */
    public function finds(PartsLedger $after): array
    {
        return [];
    }

    /** @return MoveArray */
    public function toArray(): array
    {
        return ['kind' => $this->kind()->value, 'place' => $this->place(), 'said' => $this->said()];
    }

    /**
     * @param MoveArray $data
     *
     * @throws ImpossibleMove when a word is none of ours
     */
    public static function fromArray(array $data): self
    {
        return MoveKind::from($data['kind'])->move($data['place'], $data['said'], isset($data['order']) ? RemovalTemplate::fromArray($data['order']) : null);
    }

    /**
     * @template W of \BackedEnum
     *
     * @param array<string, string> $said
     * @param class-string<W>       $words
     *
     * @return W
     *
     * @throws ImpossibleMove when what was said in that field is none of the words
     */
    protected static function word(array $said, string $field, string $words): \BackedEnum
    {
        return $words::tryFrom($said[$field] ?? '') ?? throw ImpossibleMove::noSuch($field, $said[$field] ?? '');
    }
}
