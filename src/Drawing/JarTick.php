<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

/** A line on a scale: how far down the drawing, and what it stands for. */
final readonly class JarTick
{
    public function __construct(public float $level, public float $amount)
    {
    }
}
