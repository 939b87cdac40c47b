<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\Method;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;

/** A part is cleaned one way. */
final readonly class CleanPart extends PartMove
{
    private function __construct(int $place, public Method $method)
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
        return new self($place, self::word($said, 'method', Method::class));
    }

    public function kind(): MoveKind
    {
        return MoveKind::Clean;
    }

    public function said(): array
    {
        return ['method' => $this->method->value];
    }

    protected function changed(Part $part, PartsLedger $ledger): Part
    {
        $ledger->demandMayGoInto($part, $this->method);

        return $part->cleanedBy($this->method);
    }
}
