<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Sight;

use AwakeShed\Core\Sight\PhotoJar;
use AwakeShed\Core\Sight\Point;
use AwakeShed\Core\Sight\UnreadablePhoto;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PhotoJarTest extends TestCase
{
    /** A jar of 100 pixels, points tapped to 4: what a finger misses is no wrong order, and no less than nothing or more than all. */
    #[TestWith([50, 0.5]), TestWith([80, 0.2]), TestWith([-2, 1.0]), TestWith([102, 0.0]), TestWith([-20, null]), TestWith([120, null])]
    public function testTheLowerLayerIsBetweenBottomAndSurface(int $interface, ?float $share): void
    {
        try {
            self::assertEqualsWithDelta($share, PhotoJar::read(Point::at(50, 300), Point::at(50, 200 + $interface), Point::at(50, 200), null, null, 4)->lower, 1e-9);
            self::assertNotNull($share);
        } catch (UnreadablePhoto) {
            self::assertNull($share);
        }
    }
}
