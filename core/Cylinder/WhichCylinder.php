<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

/** Of a twin, each cylinder is measured by itself. */
enum WhichCylinder: string
{
    case First = 'first';
    case Other = 'other';

    /** The vocabulary's test of its compression. */
    public function compressionTest(): string
    {
        return match ($this) {
            self::First => 'compression.gauge',
            self::Other => 'compression.other_cylinder',
        };
    }
}
