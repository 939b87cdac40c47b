<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Calendar spans as owners tell them; kept in months, not seconds, because nobody means seconds. */
enum MonthUnit: string implements Unit
{
    case Month = 'months';
    case Year = 'years';

    public function symbol(): string
    {
        return $this->value;
    }

    public function spellings(): array
    {
        return match ($this) {
            self::Month => ['months', 'month', 'mo', 'm'],
            self::Year => ['years', 'year', 'yr', 'y'],
        };
    }

    public function toSi(float $amount): float
    {
        return self::Year === $this ? 12 * $amount : $amount;
    }

    public function fromSi(float $si): float
    {
        return self::Year === $this ? $si / 12 : $si;
    }
}
