<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Money;

/** What a job comes to: its lines, each to the cent, and the tax on what is taxed, to the cent once. */
final readonly class Bill
{
    /** @param list<BillLine> $lines */
    private function __construct(public array $lines, public Money $net, public Money $tax, public Money $total)
    {
    }

    /**
     * @param list<BillLine> $lines
     * @param float          $taxPercent   0 to 50
     * @param bool           $isLaborTaxed whether the place taxes labor as well as goods
     *
     * @throws ImpossibleAmount when the tax is outside that
     */
    public static function of(array $lines, float $taxPercent, bool $isLaborTaxed): self
    {
        ImpossibleAmount::unlessBetween($taxPercent, 0.0, 50.0, '%');
        $net = $taxed = 0.0;
        foreach ($lines as $line) {
            $amount = $line->amount()->inDollars();
            $net += $amount;
            $taxed += LineKind::Labor === $line->kind && !$isLaborTaxed ? 0.0 : $amount;
        }
        $tax = round($taxed * $taxPercent / 100, 2);

        return new self($lines, Money::dollars(round($net, 2)), Money::dollars($tax), Money::dollars(round($net + $tax, 2)));
    }
}
