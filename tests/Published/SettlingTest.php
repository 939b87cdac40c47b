<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Fuel\Settling;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Length;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Stokes' law (published) against times worked by hand from it. */
final class SettlingTest extends TestCase
{
    public function testWorkedTimesThroughAHundredMillimetres(): void
    {
        $jar = Length::millimetres(100);
        self::assertEqualsWithDelta(147, Settling::through($jar, Length::micrometres(50))->inSeconds(), 0.5);
        self::assertEqualsWithDelta(15, Settling::through($jar, Length::micrometres(20))->in(DurationUnit::Minute), 0.5);
    }

    public function testTwiceTheJarTakesTwiceAsLongAndHalfTheDropFourTimes(): void
    {
        $once = Settling::through(Length::millimetres(60), Length::micrometres(40))->inSeconds();
        self::assertEqualsWithDelta(2 * $once, Settling::through(Length::millimetres(120), Length::micrometres(40))->inSeconds(), 1e-6);
        self::assertEqualsWithDelta(4 * $once, Settling::through(Length::millimetres(60), Length::micrometres(20))->inSeconds(), 1e-6);
    }

    public function testTheFirstLookComesBeforeTheFullWait(): void
    {
        self::assertTrue(Settling::firstLook(Length::millimetres(80))->isLessThan(Settling::fullWait(Length::millimetres(80))));
    }

    /** @return iterable<string, array{float, float}> mm, µm */
    public static function outside(): iterable
    {
        yield 'no jar' => [0.0, 20.0];
        yield 'a silo' => [5000.0, 20.0];
        yield 'haze' => [100.0, 0.1];
        yield 'drops that stir as they fall' => [100.0, 500.0];
    }

    #[DataProvider('outside')]
    public function testRefusesWhatTheLawDoesNotReach(float $millimetres, float $micrometres): void
    {
        $this->expectException(ImpossibleAmount::class);
        Settling::through(Length::millimetres($millimetres), Length::micrometres($micrometres));
    }
}
