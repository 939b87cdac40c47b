<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Account\RecordedBy;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Volume;

/** A portion as a page shows it: read off its row, with the names of its can and of who poured it. */
final readonly class PouredLine implements RecordedBy
{
    public function __construct(public int $id, public WasteStream $stream, public Volume $volume, public ?string $can, public string $by, private string $signInName, public \DateTimeImmutable $at)
    {
    }

    public function madeBy(): string
    {
        return $this->signInName;
    }
}
