<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sight;

use AwakeShed\Core\StatedRefusal;

/** Points on a photo that make no measurement. */
final class UnreadablePhoto extends StatedRefusal
{
    /** Two that should be apart lie on top of each other. */
    public static function together(): self
    {
        return new self('photo.points_together', 'Two points that should be apart lie on top of each other.');
    }

    /** The edge between the layers is not between bottom and surface. */
    public static function outOfOrder(): self
    {
        return new self('photo.points_order', 'The edge between the layers lies outside of the fuel.');
    }
}
