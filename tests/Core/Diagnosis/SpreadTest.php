<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Spread;
use PHPUnit\Framework\TestCase;

/** Its bins are two wide: an amount counts as the even one it is next to. */
final class SpreadTest extends TestCase
{
    public function testAnAmountIsNotExceededFromTheChanceOnThatItHas(): void
    {
        $even = Spread::of(10)->times(0.5)->and(Spread::of(20)->times(0.5));
        self::assertSame(10.0, $even->quantile(0.5));
        self::assertSame(20.0, $even->quantile(0.5001));
        self::assertSame(20.0, $even->quantile(1.0));
        self::assertSame(0.0, $even->within(8.9));
        self::assertSame(0.5, $even->within(10.0));
        self::assertSame(1.0, $even->within(20.0));
    }

    public function testWhatHasNoChanceIsNothing(): void
    {
        self::assertEquals(Spread::nothing(), Spread::of(10)->times(0.0));
        self::assertEquals(Spread::nothing(), Spread::nothing()->plus(10, 20));
        self::assertSame(0.0, Spread::nothing()->within(8000.0));
    }

    public function testWhatFallsEvenlyBetweenTwoIsAddedToBothEnds(): void
    {
        // 10 and one of 4, 6, 8 on top, all as likely.
        $sum = Spread::of(10)->plus(4, 8);
        self::assertEqualsWithDelta(1 / 3, $sum->within(14.0), 1e-12);
        self::assertEqualsWithDelta(2 / 3, $sum->within(16.0), 1e-12);
        self::assertEqualsWithDelta(1.0, $sum->within(18.0), 1e-12);
        self::assertSame(0.0, $sum->within(12.9));
        self::assertSame(16.0, $sum->quantile(0.5));
    }

    public function testTwoAmountsOnTopOfTwo(): void
    {
        // A quarter each of 2 + 0, 2 + 2, 6 + 0 and 6 + 2.
        $sum = Spread::of(2)->times(0.5)->and(Spread::of(6)->times(0.5))->plus(0, 2);
        self::assertSame([0.25, 0.5, 0.5, 0.75, 1.0], array_map($sum->within(...), [2.0, 4.0, 4.9, 6.0, 8.0]));
    }

    public function testWhatCostsMoreThanAnybodyAsksIsNotToldApart(): void
    {
        self::assertSame(8000.0, Spread::of(7990)->plus(40, 40)->quantile(0.5));
        self::assertSame(8000.0, Spread::nothing()->quantile(0.5));
    }
}
