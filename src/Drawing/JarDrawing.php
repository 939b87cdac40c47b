<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\Core\Fuel\JarLayers;
use AwakeShed\Core\Fuel\JarLook;

/**
 * A jar to scale: one unit of the drawing's height is the same volume and the same height everywhere in it.
 */
final readonly class JarDrawing
{
    public const WIDTH = 320;
    public const HEIGHT = 380;

    /** Where the inside of the jar is drawn. */
    public const LEFT = 80;
    public const RIGHT = 230;
    public const TOP = 34;
    public const BOTTOM = 350;

    /**
     * @param list<JarTick> $volumeTicks
     * @param list<JarTick> $heightTicks
     */
    private function __construct(
        public JarLayers $layers,
        public JarLook $look,
        public float $fullScaleMl,
        public array $volumeTicks,
        public array $heightTicks,
    ) {
    }

    public static function ofLayers(JarLayers $layers, JarLook $look): self
    {
        $total = max(1.0, $layers->total->inMillilitres());
        $fullScale = self::roundUp(1.15 * $total);
        $millimetresFull = $layers->height->inMillimetres() * $fullScale / $total;

        return new self(
            $layers,
            $look,
            $fullScale,
            self::ticks($fullScale),
            self::ticks($millimetresFull),
        );
    }

    public function surface(): float
    {
        return self::levelOf($this->layers->total->inMillilitres() / $this->fullScaleMl);
    }

    public function boundary(): float
    {
        return self::levelOf($this->layers->lower->inMillilitres() / $this->fullScaleMl);
    }

    /** @return list<JarTick> */
    private static function ticks(float $full): array
    {
        return array_map(static fn (float $amount): JarTick => new JarTick(self::levelOf($amount / $full), $amount), Scale::ticks(0.0, $full));
    }

    private static function levelOf(float $share): float
    {
        return round(self::BOTTOM - $share * (self::BOTTOM - self::TOP), 2);
    }

    private static function roundUp(float $amount): float
    {
        $step = Scale::step($amount);

        return $step * ceil($amount / $step);
    }
}
