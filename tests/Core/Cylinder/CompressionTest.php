<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Cylinder;

use AwakeShed\Core\Cylinder\Compression;
use AwakeShed\Core\Cylinder\CompressionVerdict;
use AwakeShed\Core\Cylinder\Release;
use AwakeShed\Core\Cylinder\WetTest;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Tests\Core\Refuses;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CompressionTest extends TestCase
{
    use Refuses;

    /** @return iterable<string, array{float, Release, CompressionVerdict}> psi at sea level; bands of the trade (common practice) */
    public static function readings(): iterable
    {
        yield 'fifty with a release is healthy' => [50, Release::Fitted, CompressionVerdict::Good];
        yield 'forty with a release is the edge' => [40, Release::Fitted, CompressionVerdict::Good];
        yield 'thirty with a release' => [30, Release::Fitted, CompressionVerdict::Low];
        yield 'fifty without one' => [50, Release::NotFitted, CompressionVerdict::Low];
        yield 'ninety without one' => [90, Release::NotFitted, CompressionVerdict::Good];
        yield 'fifty, nobody knows' => [50, Release::Unknown, CompressionVerdict::DependsOnRelease];
        yield 'a hundred, nobody knows' => [100, Release::Unknown, CompressionVerdict::Good];
        yield 'thirty, nobody knows' => [30, Release::Unknown, CompressionVerdict::Low];
        yield 'two-stroke, 120' => [120, Release::TwoStroke, CompressionVerdict::Good];
        yield 'two-stroke, 95' => [95, Release::TwoStroke, CompressionVerdict::Marginal];
        yield 'two-stroke, 80' => [80, Release::TwoStroke, CompressionVerdict::Low];
        yield 'none to speak of' => [5, Release::Fitted, CompressionVerdict::None];
    }

    #[DataProvider('readings')]
    public function testJudgesByTheBandOfItsBuild(float $psi, Release $release, CompressionVerdict $verdict): void
    {
        self::assertSame($verdict, self::read($psi, 0, $release)->verdict());
    }

    public function testAMountainShopsReadingIsJudgedAsAtSeaLevel(): void
    {
        // 76 psi at 1500 m, where the standard has 0.8345 of the pressure, is 91 psi at sea level.
        $read = self::read(76, 1500, Release::NotFitted);
        self::assertEqualsWithDelta(91.07, $read->atSeaLevel->inPsi(), 0.05);
        self::assertSame(CompressionVerdict::Good, $read->verdict());
        self::assertSame(CompressionVerdict::Low, self::read(76, 0, Release::NotFitted)->verdict());
    }

    public function testOilInTheCylinderTellsRingsFromValves(): void
    {
        $low = self::read(60, 0, Release::NotFitted);
        self::assertSame(WetTest::Rings, $low->wet(Pressure::psi(80)));
        self::assertSame(WetTest::ValvesOrGasket, $low->wet(Pressure::psi(62)));
        self::assertNull(self::read(110, 0, Release::NotFitted)->wet(Pressure::psi(130)), 'nothing is wrong that would have to be explained');
        self::assertSame(WetTest::ValvesOrGasket, self::read(0, 0, Release::NotFitted)->wet(Pressure::psi(5)), 'none at all stays none: a valve hangs open');
    }

    public function testOnlyABuildThatMayHaveAReleaseCanMislead(): void
    {
        self::assertTrue(self::read(50, 0, Release::Fitted)->gaugeCanMislead());
        self::assertTrue(self::read(50, 0, Release::Unknown)->gaugeCanMislead());
        self::assertFalse(self::read(50, 0, Release::NotFitted)->gaugeCanMislead());
    }

    public function testRefusesWhatNoGaugeShows(): void
    {
        self::assertRefused(
            static fn () => self::read(-1, 0, Release::Fitted),
            static fn () => self::read(500, 0, Release::Fitted),
            static fn () => self::read(100, 9000, Release::Fitted),
            static fn () => self::read(50, 0, Release::Fitted)->wet(Pressure::psi(-3)),
        );
    }

    public function testTheGaugesErrorIsJudgedBy(): void
    {
        // 88 psi with a gauge good to 3 is low or good.
        $read = self::read(88, 0, Release::NotFitted, 3);
        self::assertSame([CompressionVerdict::Low, CompressionVerdict::Good], [$read->worst(), $read->best()]);
        $plain = self::read(120, 0, Release::NotFitted, 3);
        self::assertSame([CompressionVerdict::Good, CompressionVerdict::Good], [$plain->worst(), $plain->best()]);
    }

    private static function read(float $psi, float $metres, Release $release, float $error = 0.0): Compression
    {
        return Compression::read(Pressure::psi($psi), Length::of($metres, LengthUnit::Metre), $release, Pressure::psi($error));
    }
}
