<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\Condition;
use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;

/** A part is judged by how it was found. */
final readonly class JudgeCondition extends PartMove
{
    private function __construct(int $place, public Condition $condition)
    {
        parent::__construct($place);
    }

    /**
     * @param array<string, string> $said
     *
     * @throws ImpossibleMove
     */
    public static function heard(int $place, array $said): self
    {
        return new self($place, self::word($said, 'condition', Condition::class));
    }

    public function kind(): MoveKind
    {
        return MoveKind::Condition;
    }

    public function said(): array
    {
        return ['condition' => $this->condition->value];
    }

    protected function changed(Part $part, PartsLedger $ledger): Part
    {
        return $part->inCondition($this->condition);
    }
}
