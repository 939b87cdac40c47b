<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger;

/** A hole is sprayed, or lit through, and nothing comes. */
final readonly class FindBlocked extends PassageMove
{
    public function kind(): MoveKind
    {
        return MoveKind::Blocked;
    }

    public function on(PartsLedger $ledger): PartsLedger
    {
        $state = $ledger->demandPassage($this->passage);

        return $ledger->tried($this->passage, $state->seen, true, $state->holesOpen);
    }
}
