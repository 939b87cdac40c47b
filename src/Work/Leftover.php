<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Waste\CanFill;
use AwakeShed\Core\Fuel\WasteStream;

/** What a step leaves behind it, said before it is done. */
final readonly class Leftover
{
    /**
     * @param CanFill|null                           $can  the first of the stream with room in it; null where there is none
     * @param array{kind: string, minutes: int}|null $wait
     */
    public function __construct(public ?WasteStream $stream, public ?CanFill $can, public ?array $wait, public bool $takesOil)
    {
    }

    /** Whether what is poured off has nowhere to go. */
    public function isFull(): bool
    {
        return null !== $this->stream && null === $this->can;
    }
}
