<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Unit;

/** What a trace is of. */
enum TraceKind: string
{
    /** Pressure on a carburetor's inlet. */
    case Needle = 'needle';

    /** Engine speed. */
    case Speed = 'speed';

    /** @return non-empty-list<Unit> a gauge of it may read in */
    public function units(): array
    {
        return match ($this) {
            self::Needle => PressureUnit::cases(),
            self::Speed => SpeedUnit::cases(),
        };
    }

    /** The calculation that reads it. */
    public function calculation(): string
    {
        return $this->value.'-trace';
    }

    /** The vocabulary's test that recording it live is: an engine must run for its speed; null where nothing turns. */
    public function act(): ?string
    {
        return match ($this) {
            self::Needle => null,
            self::Speed => 'run.steady',
        };
    }
}
