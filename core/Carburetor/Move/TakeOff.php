<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\Material;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;

/** A part comes off, of the type's list or of one's own naming. */
final readonly class TakeOff extends Move
{
    /**
     * @param int|null              $place where it is laid; null for the next that is free
     * @param string                $kind  the type's word for it; empty for one of one's own naming
     * @param string                $name  of one of one's own naming
     * @param array<string, string> $notes
     */
    private function __construct(private ?int $place, private string $kind, private string $name, private ?Material $material, private array $notes)
    {
    }

    /**
     * @param array<string, string> $said
     *
     * @throws ImpossibleMove
     */
    public static function heard(?int $place, array $said): self
    {
        $material = isset($said['material']) ? self::word($said, 'material', Material::class) : null;

        return new self($place, $said['kind'] ?? '', $said['name'] ?? '', $material, array_intersect_key($said, array_flip(PartsLedger::NOTES)));
    }

    public function kind(): MoveKind
    {
        return MoveKind::Off;
    }

    public function place(): ?int
    {
        return $this->place;
    }

    public function said(): array
    {
        return array_filter(['kind' => $this->kind, 'name' => $this->name, 'material' => $this->material->value ?? ''], static fn (string $word): bool => '' !== $word) + $this->notes;
    }

    public function on(PartsLedger $ledger): PartsLedger
    {
        $place = $this->place ?? $ledger->nextPlace();
        $ledger->demandFree($place);
        $kind = '' === $this->kind ? null : $ledger->type?->part($this->kind) ?? throw ImpossibleMove::noSuch('part', $this->kind);
        $name = trim($kind->name ?? $this->name);
        if (null === $kind && ('' === $name || mb_strlen($name) > PartsLedger::LONGEST)) {
            throw ImpossibleMove::nameless();
        }
        $material = $kind->material ?? $this->material ?? throw ImpossibleMove::noSuch('material', '');
        $notes = array_filter($this->notes, static fn (string $note): bool => '' !== $note);
        if (\in_array('hole', $kind->asks ?? [], true) && !isset($notes['hole'])) {
            throw ImpossibleMove::unknownHole($this->kind);
        }

        return $ledger->withPart((new Part($place, null === $kind ? null : $this->kind, $name, $material, stack: $kind?->stack))->noted($notes));
    }
}
