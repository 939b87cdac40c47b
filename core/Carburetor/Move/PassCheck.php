<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\Finding;

/** A point of the check before the covers is looked at: it is passed, or what was seen is a finding and it stays open. */
final readonly class PassCheck extends Move
{
    /** @param string|null $outcome what was seen, where the point is a test of the vocabulary */
    public function __construct(public string $check, private ?string $outcome = null)
    {
    }

    public function kind(): MoveKind
    {
        return MoveKind::Check;
    }

    public function said(): array
    {
        return ['check' => $this->check] + (null === $this->outcome ? [] : ['outcome' => $this->outcome]);
    }

    public function on(PartsLedger $ledger): PartsLedger
    {
        return $ledger->checkedOff($this->check, $this->outcome);
    }

    /** @return list<Finding> */
    public function finds(PartsLedger $after): array
    {
        $test = $after->pointOfCheck($this->check)->test;

        return null === $test || null === $this->outcome ? [] : [Finding::observed($test, $this->outcome)];
    }
}
