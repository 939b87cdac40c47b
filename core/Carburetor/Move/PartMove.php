<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;

/** Something is done with a part that came off. */
abstract readonly class PartMove extends Move
{
    public function __construct(protected int $place)
    {
    }

    final public function place(): int
    {
        return $this->place;
    }

    final public function on(PartsLedger $ledger): PartsLedger
    {
        return $ledger->withPart($this->changed($ledger->parts[$this->place] ?? throw ImpossibleMove::noSuchPlace($this->place), $ledger));
    }

    /** @throws ImpossibleMove */
    abstract protected function changed(Part $part, PartsLedger $ledger): Part;
}
