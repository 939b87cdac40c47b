<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Elapsed time in seconds. */
enum DurationUnit: string implements Unit
{
    case Second = 's';
    case Minute = 'min';
    case Hour = 'h';

    public function symbol(): string
    {
        return $this->value;
    }

    public function spellings(): array
    {
        return [$this->value];
    }

    public function toSi(float $amount): float
    {
        return $amount * $this->seconds();
    }

    public function fromSi(float $si): float
    {
        return $si / $this->seconds();
    }

    private function seconds(): int
    {
        return match ($this) {
            self::Second => 1,
            self::Minute => 60,
            self::Hour => 3600,
        };
    }
}
