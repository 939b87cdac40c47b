<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;

/** A part is left off knowingly, and why. */
final readonly class LeaveOff extends PartMove
{
    public function __construct(int $place, private string $reason)
    {
        parent::__construct($place);
    }

    public function kind(): MoveKind
    {
        return MoveKind::LeaveOff;
    }

    public function said(): array
    {
        return ['reason' => $this->reason];
    }

    protected function changed(Part $part, PartsLedger $ledger): Part
    {
        if ($part->isOn) {
            throw ImpossibleMove::alreadyOn($part->place);
        }
        if (!$ledger->mayBeLeftOff($part)) {
            throw ImpossibleMove::neverLeftOff($part->kind ?? $part->name);
        }
        if ('' === trim($this->reason) || mb_strlen($this->reason) > PartsLedger::LONGEST) {
            throw ImpossibleMove::reasonless(PartsLedger::LONGEST);
        }

        return $part->withoutIt(trim($this->reason));
    }
}
