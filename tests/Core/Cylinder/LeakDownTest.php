<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Cylinder;

use AwakeShed\Core\Cylinder\Hiss;
use AwakeShed\Core\Cylinder\LeakDown;
use AwakeShed\Core\Cylinder\LeakDownBand;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Tests\Core\Refuses;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LeakDownTest extends TestCase
{
    use Refuses;

    /** @return iterable<string, array{float, float, float, LeakDownBand}> regulated and cylinder psi, share, band */
    public static function readings(): iterable
    {
        yield 'nothing leaks' => [100, 100, 0.0, LeakDownBand::Good];
        yield 'eight in a hundred' => [100, 92, 0.08, LeakDownBand::Good];
        yield 'fifteen' => [80, 68, 0.15, LeakDownBand::Usable];
        yield 'twenty-two' => [100, 78, 0.22, LeakDownBand::Worn];
        yield 'forty' => [100, 60, 0.40, LeakDownBand::FindIt];
        yield 'all of it' => [100, 0, 1.0, LeakDownBand::FindIt];
    }

    #[DataProvider('readings')]
    public function testTheShareThatIsLost(float $regulated, float $cylinder, float $share, LeakDownBand $band): void
    {
        $read = LeakDown::read(Pressure::psi($regulated), Pressure::psi($cylinder), Pressure::psi(1));
        self::assertEqualsWithDelta($share, $read->share->asFraction(), 1e-9);
        self::assertSame($band, $read->band());
    }

    public function testNothingIsCalledGoodThatMayNotBe(): void
    {
        // 9.8 %, give or take 2.7.
        $read = LeakDown::read(Pressure::psi(100), Pressure::psi(90.2), Pressure::psi(2));
        self::assertEqualsWithDelta(0.027, $read->halfWidth->asFraction(), 0.0001);
        self::assertSame([LeakDownBand::Good, LeakDownBand::Usable], [$read->bestBand(), $read->band()]);
    }

    public function testBothGaugesErrorIsCarried(): void
    {
        // 1 psi on 100 for the one, 0.8 of it for the other: √(0.01² + 0.008²) = 0.0128.
        self::assertEqualsWithDelta(0.0128, LeakDown::read(Pressure::psi(100), Pressure::psi(80), Pressure::psi(1))->halfWidth->asFraction(), 0.0001);
    }

    public function testMoreHeldNeverLeaksMore(): void
    {
        $random = new Seeded(11);
        for ($case = 0; $case < 300; ++$case) {
            $regulated = $random->float(20, 120);
            [$less, $more] = [$random->float(0, $regulated), $random->float(0, $regulated)];
            [$less, $more] = [min($less, $more), max($less, $more)];
            $share = static fn (float $held): float => LeakDown::read(Pressure::psi($regulated), Pressure::psi($held), Pressure::psi(1))->share->asFraction();
            self::assertGreaterThanOrEqual($share($more), $share($less));
        }
    }

    public function testWhereItHissesNamesThePart(): void
    {
        self::assertSame('intake_valve', Hiss::Carburetor->suspect());
        self::assertSame('exhaust_valve', Hiss::Muffler->suspect());
        self::assertSame('rings', Hiss::Breather->suspect());
        self::assertNull(Hiss::NotHeard->suspect());
    }

    public function testRefusesMoreThanWasLetIn(): void
    {
        self::assertRefused(
            static fn () => LeakDown::read(Pressure::psi(100), Pressure::psi(103), Pressure::psi(1)),
            static fn () => LeakDown::read(Pressure::psi(0), Pressure::psi(0), Pressure::psi(1)),
            static fn () => LeakDown::read(Pressure::psi(100), Pressure::psi(-1), Pressure::psi(1)),
        );
    }
}
