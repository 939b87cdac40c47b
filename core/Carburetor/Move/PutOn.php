<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;

/** A part, or the new one in its stead, goes back. */
final readonly class PutOn extends PartMove
{
    public function kind(): MoveKind
    {
        return MoveKind::On;
    }

    public function said(): array
    {
        return [];
    }

    protected function changed(Part $part, PartsLedger $ledger): Part
    {
        if ($part->isOn) {
            throw ImpossibleMove::alreadyOn($part->place);
        }
        foreach (null === $part->stack ? [] : $ledger->stacks()[$part->stack] ?? [] as $below) {
            if ($below->place > $part->place && $below->liesOnTheMat()) {
                throw ImpossibleMove::under($part->place, $below->place);
            }
        }

        return $part->on();
    }
}
