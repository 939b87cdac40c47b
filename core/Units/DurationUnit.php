<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** Elapsed time in seconds. */
enum DurationUnit: string implements Unit
{
    use ScaledUnit;

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

    private function inSi(): float
    {
        return match ($this) {
            self::Second => 1,
            self::Minute => 60,
            self::Hour => 3600,
        };
    }
}
