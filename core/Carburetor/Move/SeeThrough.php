<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger;

/** A hole is sprayed, and cleaner comes out of another. */
final readonly class SeeThrough extends PassageMove
{
    public function __construct(string $passage, private string $exit)
    {
        parent::__construct($passage);
    }

    public function kind(): MoveKind
    {
        return MoveKind::Through;
    }

    public function said(): array
    {
        return ['passage' => $this->passage, 'exit' => $this->exit];
    }

    public function on(PartsLedger $ledger): PartsLedger
    {
        $state = $ledger->demandPassage($this->passage);
        if (!\in_array($this->exit, $state->passage->exits, true)) {
            throw ImpossibleMove::noSuch('exit', $this->exit);
        }
        // Blocked once and sprayed again, only what comes now counts.
        $seen = $state->isBlocked ? [$this->exit] : array_values(array_unique([...$state->seen, $this->exit]));

        return $ledger->tried($this->passage, $seen, false, $state->holesOpen);
    }
}
