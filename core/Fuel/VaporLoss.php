<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\ImpossibleAmount;

/**
 * How much of its readiness to evaporate, and so to start an engine, gasoline has lost in store. From memory, wide, and no
 * measurement: a range to expect by, never a reason to use it.
 */
final readonly class VaporLoss
{
    /** Of the vapour pressure, in a year: the least and the most (from memory). */
    private const SEALED = [0.02, 0.10];
    private const VENTED = [0.15, 0.45];

    /** Beyond so much lost it hardly starts a cold engine (from memory). */
    public const HARD_TO_START = 0.20;

    private function __construct(public float $least, public float $most)
    {
    }

    /**
     * @param CalendarSpan $stored   0 to 120 months
     * @param bool         $isVented in a tank that breathes, or a can that is not full and shut
     *
     * @throws ImpossibleAmount outside that
     */
    public static function after(CalendarSpan $stored, bool $isVented): self
    {
        ImpossibleAmount::unlessBetween($stored->inMonths(), 0.0, 120.0, 'months');
        [$least, $most] = $isVented ? self::VENTED : self::SEALED;
        // What is left loses the same share again in the next year.
        $years = $stored->inMonths() / 12;

        return new self(1 - (1 - $least) ** $years, 1 - (1 - $most) ** $years);
    }
}
