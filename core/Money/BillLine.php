<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Money;

/** One line of a bill. */
final readonly class BillLine
{
    public const MOST_QUANTITY = 1_000.0;
    public const MOST_DOLLARS = 100_000.0;

    /**
     * @param float $quantity pieces, or hours of labor, 0 to 1000
     * @param Money $each     0 to 100 000 $
     *
     * @throws ImpossibleAmount when one is outside that
     */
    public function __construct(public LineKind $kind, public string $text, public float $quantity, public Money $each)
    {
        ImpossibleAmount::unlessBetween($quantity, 0.0, self::MOST_QUANTITY, '');
        ImpossibleAmount::unlessBetween($each->inDollars(), 0.0, self::MOST_DOLLARS, '$');
    }

    /** To the cent. */
    public function amount(): Money
    {
        return Money::dollars(round($this->quantity * $this->each->inDollars(), 2));
    }
}
