<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartFate;
use AwakeShed\Core\Carburetor\PartsLedger;

/** What becomes of a part is decided. */
final readonly class DecideFate extends PartMove
{
    private function __construct(int $place, public PartFate $keep)
    {
        parent::__construct($place);
    }

    /**
     * @param array<string, string> $said
     *
     * @throws ImpossibleMove
     */
    public static function heard(int $place, array $said): self
    {
        return new self($place, self::word($said, 'keep', PartFate::class));
    }

    public function kind(): MoveKind
    {
        return MoveKind::Keep;
    }

    public function said(): array
    {
        return ['keep' => $this->keep->value];
    }

    protected function changed(Part $part, PartsLedger $ledger): Part
    {
        return $part->kept($this->keep);
    }
}
