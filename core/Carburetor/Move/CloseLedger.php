<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger;

/** The ledger is closed. */
final readonly class CloseLedger extends Move
{
    public function kind(): MoveKind
    {
        return MoveKind::Close;
    }

    public function said(): array
    {
        return [];
    }

    public function on(PartsLedger $ledger): PartsLedger
    {
        return $ledger->closed();
    }
}
