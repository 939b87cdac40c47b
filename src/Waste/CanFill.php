<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\Core\Units\Volume;

/** How full a can is since it was last emptied. */
final readonly class CanFill
{
    /** A can is not filled to the brim: fuel swells. */
    private const FULL = 0.95;

    public function __construct(public WasteCan $can, public Volume $held)
    {
    }

    /** @return float of its capacity; may exceed 1 when it was written down so */
    public function share(): float
    {
        return $this->held->over($this->can->getCapacity());
    }

    public function isFull(): bool
    {
        return $this->share() >= self::FULL;
    }

    public function hasRoomFor(Volume $volume): bool
    {
        return $this->held->plus($volume)->over($this->can->getCapacity()) < self::FULL;
    }
}
