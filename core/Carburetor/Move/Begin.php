<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Carburetor\RemovalTemplate;

/** A ledger is begun, of a carburetor type or free, in the shop's own order where there is one. */
final readonly class Begin extends Move
{
    /** @param string $template the name of that order; empty for none */
    public function __construct(public string $type, private ?RemovalTemplate $order = null, private string $template = '')
    {
    }

    public function kind(): MoveKind
    {
        return MoveKind::Begin;
    }

    public function said(): array
    {
        return ['type' => $this->type] + ('' === $this->template ? [] : ['template' => $this->template]);
    }

    public function on(PartsLedger $ledger): PartsLedger
    {
        return $ledger->begun($this->type, $this->order);
    }

    public function toArray(): array
    {
        return parent::toArray() + (null === $this->order ? [] : ['order' => $this->order->toArray()]);
    }
}
