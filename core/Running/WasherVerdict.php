<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

enum WasherVerdict: string
{
    case Right = 'right';

    /** All the water comes, at less pressure: the hole has grown, or it is the wrong tip. */
    case NozzleWorn = 'nozzle_worn';

    /** More pressure than the pump is made for: the hole is partly shut. */
    case NozzleBlocked = 'nozzle_blocked';

    /** Less water than it should pump: inlet, unloader, valves, seals, in that order. */
    case FlowLow = 'flow_low';

    /** Pressure is trapped behind the gun. */
    case UnloaderStuck = 'unloader_stuck';

    /** @return array{string, string} test of the vocabulary and what it shows */
    public function finding(): array
    {
        return match ($this) {
            self::Right => ['washer.pressure', 'right'],
            self::NozzleWorn => ['washer.nozzle', 'worn'],
            self::NozzleBlocked => ['washer.nozzle', 'blocked'],
            self::FlowLow => ['washer.pressure', 'low'],
            self::UnloaderStuck => ['washer.unloader', 'stuck_closed'],
        };
    }
}
