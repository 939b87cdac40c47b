<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule\Season;

use AwakeShed\Core\Schedule\Season\Forecast;
use AwakeShed\Core\Schedule\Season\Load;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

final class ForecastTest extends TestCase
{
    public function testASeasonIsSeenWhereThereIsOne(): void
    {
        $year = [...array_fill(0, 20, 1), ...array_fill(0, 6, 9), ...array_fill(0, 26, 1)];
        $forecast = Forecast::from([...$year, ...$year, ...\array_slice($year, 0, 20)]);

        self::assertTrue($forecast->isBetter());
        // The third week of the rush, two years running.
        self::assertEqualsWithDelta(9.0, $forecast->expected(3), 0.01);
        self::assertEqualsWithDelta(1.0, $forecast->expected(12), 0.01);
        self::assertLessThan(3.0, $forecast->average());
    }

    public function testNoSeasonIsMadeUpOfChance(): void
    {
        $believed = 0;
        foreach (range(1, 20) as $seed) {
            $dice = new Seeded($seed);
            $weeks = array_map(static fn (): int => $dice->int(0, 6), range(1, 150));
            $forecast = Forecast::from($weeks);
            $believed += $forecast->isBetter() ? 1 : 0;
            if (!$forecast->isBetter()) {
                self::assertSame($forecast->average(), $forecast->expected(4));
            }
        }

        self::assertLessThanOrEqual(3, $believed);
    }

    public function testWithoutAYearThereIsOnlyTheAverage(): void
    {
        $forecast = Forecast::from([2, 4, 3]);

        self::assertFalse($forecast->isBetter());
        self::assertSame([null, 0.0], $forecast->errors());
        self::assertSame(3.0, $forecast->expected(1));
        self::assertSame(0.0, Forecast::from([])->expected(1));
    }

    public function testWorkIsDoneInTheOrderItCame(): void
    {
        $load = new Load(30.0, [10.0, 10.0, 10.0, 10.0], [20.0, 20.0, 20.0, 20.0]);

        // 30 + 10 − 20, + 10 − 20, + 10 − 20 and no less than nothing.
        self::assertSame([20.0, 10.0, 0.0, 0.0], $load->leftOver());
        self::assertSame(1, $load->doneIn(0));
        self::assertSame(2, $load->doneIn(1));
        self::assertSame(2, $load->doneIn(2));
        self::assertSame(0, $load->lastFor(1));
        self::assertSame(2, $load->lastFor(2));
        self::assertNull($load->lastFor(0));
        self::assertSame(3, $load->lastFor(3));
        self::assertSame(3, $load->lastFor(9), 'no further than is looked ahead');
        self::assertNull($load->with(60.0)->doneIn(0));
        // Twenty come in the first week, five in the second: the first are done when both their weeks are worked.
        self::assertSame(1, (new Load(0.0, [20.0, 5.0, 0.0], [10.0, 10.0, 10.0]))->doneIn(0));
        self::assertSame(2, (new Load(0.0, [20.0, 5.0, 0.0], [10.0, 10.0, 10.0]))->doneIn(1));
    }
}
