<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

/** Performance classes of generating sets by frequency droop and steady-state frequency band (ISO 8528-5, published). */
enum PerformanceClass: string
{
    case G3 = 'G3';
    case G2 = 'G2';
    case G1 = 'G1';

    /**
     * @param float $droop as {@see droop()}, per cent; no class where it is negative
     * @param float $band  width of the steady band over rated, per cent
     *
     * @return self|null the best class that both meet; null when not even G1
     */
    public static function metBy(float $droop, float $band): ?self
    {
        foreach (self::cases() as $class) {
            [$mostDroop, $mostBand] = $class->limits();
            if (Edge::isAtMost(0.0, $droop) && Edge::isAtMost($droop, $mostDroop) && Edge::isAtMost($band, $mostBand)) {
                return $class;
            }
        }

        return null;
    }

    /** @return float (no load − loaded) / rated, per cent; negative where it was read faster under load, which no governor does */
    public static function droop(ShaftSpeed $noLoad, ShaftSpeed $loaded, ShaftSpeed $rated): float
    {
        return 100 * ($noLoad->in(SpeedUnit::Rpm) - $loaded->in(SpeedUnit::Rpm)) / $rated->in(SpeedUnit::Rpm);
    }

    /** @return array{float, float} most steady voltage deviation, per cent, and most recovery time of the frequency, s (ISO 8528-5; from memory of its table) */
    public function loadLimits(): array
    {
        return match ($this) {
            self::G3 => [1.0, 3.0],
            self::G2 => [2.5, 5.0],
            self::G1 => [5.0, 10.0],
        };
    }

    /** @return array{float, float} most droop and most band, per cent */
    public function limits(): array
    {
        return match ($this) {
            self::G3 => [3.0, 0.5],
            self::G2 => [5.0, 1.5],
            self::G1 => [8.0, 2.5],
        };
    }
}
