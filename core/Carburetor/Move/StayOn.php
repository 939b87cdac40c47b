<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger;

/** A part of the type need not come off this time. */
final readonly class StayOn extends Move
{
    public function __construct(private string $part)
    {
    }

    public function kind(): MoveKind
    {
        return MoveKind::StayOn;
    }

    public function said(): array
    {
        return ['kind' => $this->part];
    }

    public function on(PartsLedger $ledger): PartsLedger
    {
        return $ledger->staying($this->part);
    }
}
