<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spec;

use AwakeShed\Core\Evidence\MachineKind;

/** Machines enough alike to share typical figures; each is to be replaced by the machine's own as soon as it is known. */
final readonly class EngineClass
{
    /**
     * @param MachineKind|null         $kind   null: any
     * @param float                    $fromCc displacement, cm³
     * @param float                    $toCc   displacement, cm³
     * @param array<string, SpecValue> $values by the figure's name
     */
    public function __construct(public string $id, public ?MachineKind $kind, public float $fromCc, public float $toCc, public array $values)
    {
    }

    public function has(float $cc): bool
    {
        return $cc >= $this->fromCc && $cc < $this->toCc;
    }
}
