<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Cylinder;

use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Volume;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HydrolockTest extends TestCase
{
    /** @return iterable<string, array{float, float, float}> cm³, ratio, clearance mL; worked by hand */
    public static function cylinders(): iterable
    {
        yield 'a mower' => [160, 8.5, 21.3];
        yield 'a snowblower' => [208, 8.0, 29.7];
    }

    #[DataProvider('cylinders')]
    public function testRoomAboveThePiston(float $displacement, float $ratio, float $clearance): void
    {
        self::assertEqualsWithDelta($clearance, self::cylinder($displacement, $ratio, 0)->clearance->inMillilitres(), 0.05);
    }

    public function testLiquidRaisesTheCompressionUntilItLocks(): void
    {
        self::assertEqualsWithDelta(15.1, self::cylinder(160, 8.5, 10)->effectiveCompression()?->in(RatioUnit::ToOne), 0.05);
        $before = 0.0;
        for ($liquid = 0.0; $liquid < 21.3; $liquid += 0.5) {
            $now = self::cylinder(160, 8.5, $liquid)->effectiveCompression()?->in(RatioUnit::ToOne) ?? self::fail('Not locked yet.');
            self::assertGreaterThan($before, $now);
            $before = $now;
        }
        self::assertEqualsWithDelta(8.5, self::cylinder(160, 8.5, 0)->effectiveCompression()?->in(RatioUnit::ToOne), 1e-9);
        self::assertTrue(self::cylinder(160, 8.5, 21.4)->isLocked());
        self::assertNull(self::cylinder(160, 8.5, 21.4)->effectiveCompression());
    }

    public function testADrippingNeedleFillsItInHours(): void
    {
        // 21.33 mL at six drops of 0.025 mL a minute: 142 minutes.
        self::assertEqualsWithDelta(142.2, self::cylinder(160, 8.5, 0)->timeToFill(Frequency::of(6, FrequencyUnit::PerMinute), Volume::millilitres(0.025))->in(DurationUnit::Minute), 0.1);
        self::assertSame(0.0, self::cylinder(160, 8.5, 30)->timeToFill(Frequency::of(6, FrequencyUnit::PerMinute), Volume::millilitres(0.025))->inSeconds());
    }

    public function testRefusesWhatNoCylinderIs(): void
    {
        foreach ([
            static fn () => self::cylinder(0, 8.5, 0),
            static fn () => self::cylinder(160, 1, 0),
            static fn () => self::cylinder(160, 8.5, -1),
            static fn () => self::cylinder(160, 8.5, 500),
            static fn () => self::cylinder(160, 8.5, 0)->timeToFill(Frequency::of(0, FrequencyUnit::PerMinute), Volume::millilitres(0.025)),
            static fn () => self::cylinder(160, 8.5, 0)->timeToFill(Frequency::of(6, FrequencyUnit::PerMinute), Volume::millilitres(1)),
        ] as $absurd) {
            try {
                $absurd();
                self::fail('It was computed.');
            } catch (ImpossibleAmount $refusal) {
                self::assertSame('amount.out_of_range', $refusal->reason());
            }
        }
    }

    private static function cylinder(float $displacement, float $ratio, float $liquid): Hydrolock
    {
        return Hydrolock::in(Volume::millilitres($displacement), Ratio::of($ratio, RatioUnit::ToOne), Volume::millilitres($liquid));
    }
}
