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

    public function testATwinHasTwoCylinders(): void
    {
        self::assertSame(2, Hydrolock::usualCylinders(Volume::millilitres(700)));
        self::assertSame(1, Hydrolock::usualCylinders(Volume::millilitres(420)));
        // 60 mL in one of them: 350/7.5 is 46.7 mL of room.
        self::assertTrue(self::cylinder(350, 8.5, 60)->isLocked());
    }

    public function testMayLockWithinWhatIsNotKnown(): void
    {
        $mower = static fn (float $liquid, float $error, float $ratioError): Hydrolock => Hydrolock::in(Volume::millilitres(160), Ratio::of(8.5, RatioUnit::ToOne), Volume::millilitres($liquid), Volume::millilitres($error), $ratioError);
        // 21.3 mL of room; 18.8 with a ratio of 9.5.
        self::assertTrue($mower(20.5, 1, 0)->mayLock());
        self::assertFalse($mower(19, 1, 0)->mayLock());
        self::assertTrue($mower(19, 0, 1)->mayLock());
        self::assertFalse($mower(22, 1, 1)->mayLock(), 'it does');
        self::assertFalse($mower(0, 30, 1)->mayLock(), 'there is nothing in it');
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
