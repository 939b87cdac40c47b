<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger;

/** The holes of a passage are counted that are open. */
final readonly class CountHoles extends PassageMove
{
    /** @param string $holes as it was written */
    public function __construct(string $passage, private string $holes)
    {
        parent::__construct($passage);
    }

    public function kind(): MoveKind
    {
        return MoveKind::Holes;
    }

    public function said(): array
    {
        return ['passage' => $this->passage, 'holes' => $this->holes];
    }

    public function on(PartsLedger $ledger): PartsLedger
    {
        $state = $ledger->demandPassage($this->passage);
        $most = $state->passage->holes ?? 0;
        $count = filter_var($this->holes, \FILTER_VALIDATE_INT, ['options' => ['min_range' => 0, 'max_range' => $most]]);

        return \is_int($count) ? $ledger->tried($this->passage, $state->seen, false, $count) : throw ImpossibleMove::outOfRange(0, $most);
    }
}
