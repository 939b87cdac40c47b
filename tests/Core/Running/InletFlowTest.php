<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Running;

use AwakeShed\Core\Running\InletFlow;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;
use AwakeShed\Tests\Core\Refuses;
use PHPUnit\Framework\TestCase;

final class InletFlowTest extends TestCase
{
    use Refuses;

    public function testABucketAndAStopwatch(): void
    {
        // Five gallons in a minute and a half: 3.33 gallons a minute.
        $tap = self::flow(5, 90, 3);
        self::assertEqualsWithDelta(3.333, $tap->supply->in(FlowUnit::GallonPerMinute), 0.001);
        self::assertTrue($tap->isEnough());
        self::assertEqualsWithDelta(1.111, $tap->margin(), 0.001);
        self::assertFalse(self::flow(5, 120, 3)->isEnough());
        self::assertFalse(self::flow(3, 60, 3)->isEnough(), 'as much as the pump takes leaves nothing in hand');
    }

    public function testIsEnoughOnlyWhereTheReadingsLeaveNoDoubt(): void
    {
        // A twelfth over what the pump takes, read with a bucket good to a tenth.
        $tap = self::flow(5, 92, 3, 0.10, 0.5);
        self::assertFalse($tap->isEnough());
        self::assertFalse($tap->isShort());
        self::assertTrue(self::flow(5, 60, 3, 0.10, 0.5)->isEnough());
        self::assertTrue(self::flow(5, 150, 3, 0.10, 0.5)->isShort());
    }

    public function testRefusesNoTime(): void
    {
        self::assertRefused(static fn () => self::flow(5, 0, 3), static fn () => self::flow(5, 60, 0), static fn () => self::flow(-1, 60, 3));
    }

    private static function flow(float $gallons, float $seconds, float $pump, float $marks = 0.0, float $thumb = 0.0): InletFlow
    {
        return InletFlow::fromBucket(Volume::of($gallons, VolumeUnit::Gallon), Duration::seconds($seconds), VolumeFlow::of($pump, FlowUnit::GallonPerMinute), $marks, Duration::seconds($thumb));
    }
}
