<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** How long something stood, in months as owners count them. */
final readonly class CalendarSpan extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite */
    public static function months(float $amount): self
    {
        return self::of($amount, MonthUnit::Month);
    }

    public function inMonths(): float
    {
        return $this->in(MonthUnit::Month);
    }

    public static function units(): array
    {
        return MonthUnit::cases();
    }
}
