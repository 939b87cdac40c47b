<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor\Move;

use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\Finding;

/** A passage is tried. */
abstract readonly class PassageMove extends Move
{
    public function __construct(public string $passage)
    {
    }

    public function said(): array
    {
        return ['passage' => $this->passage];
    }

    /** @return list<Finding> */
    final public function finds(PartsLedger $after): array
    {
        return array_values(array_filter([$after->finding($this->passage)]));
    }
}
