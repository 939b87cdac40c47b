<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spark;

enum BatteryVerdict: string
{
    case Good = 'good';

    /** To be charged before anything is said of it. */
    case Low = 'low';

    /** A cell is gone, or it stood empty too long. */
    case Dead = 'dead';

    /** Full, and gives in under the starter: the battery, or its leads. */
    case SagsCranking = 'sags_cranking';

    /** The engine does not charge it. */
    case NotCharged = 'not_charged';

    /** The regulator lets too much through: it boils dry. */
    case Overcharged = 'overcharged';

    /** @return string outcome of the vocabulary's test `battery.volts` */
    public function outcome(): string
    {
        return match ($this) {
            self::Dead => 'dead',
            self::Low => 'low',
            default => 'good',
        };
    }
}
