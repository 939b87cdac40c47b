<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;

/** Something is noted of a part that is off. */
final readonly class NotePart extends PartMove
{
    /** @param array<string, string> $notes */
    public function __construct(int $place, private array $notes)
    {
        parent::__construct($place);
    }

    public function kind(): MoveKind
    {
        return MoveKind::Note;
    }

    public function said(): array
    {
        return $this->notes;
    }

    protected function changed(Part $part, PartsLedger $ledger): Part
    {
        return $part->noted($this->notes);
    }
}
