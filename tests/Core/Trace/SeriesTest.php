<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Trace;

use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Trace\Statistics;
use AwakeShed\Core\Trace\UnreadableSeries;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SeriesTest extends TestCase
{
    /** @return iterable<string, array{string}> the same three samples */
    public static function files(): iterable
    {
        yield 'plain' => ["t [s],p [psi]\n10,0\n10.5,1\n11,2\n"];
        yield 'underscores' => ["time_s,pressure_psi\n10,0\n10.5,1\n11,2"];
        yield 'milliseconds are not known, minutes are' => ["t (min);p (psi)\n0;0\n0,00833333333;1\n0,01666666667;2"];
        yield 'kilopascals' => ["t [s],p [kPa]\n0,0\n0.5,6.894757\n1,13.789515"];
        yield 'decimal commas and semicolons' => ["\xEF\xBB\xBFt [s];p [bar]\r\n0;0\r\n0,5;0,06894757\r\n1,0;0,13789515\r\n"];
        yield 'tabs and quotes' => ["\"t [s]\"\t\"p [psi]\"\n0\t0\n0.5\t1\n1\t2"];
        yield 'out of order' => ["t [s],p [psi]\n1,2\n0,0\n0.5,1"];
        yield 'gaps in the values' => ["t [s],p [psi]\n0,0\n0.2,\n0.3,NaN\n0.5,1\n1,2"];
    }

    #[DataProvider('files')]
    public function testReadsTheSameSamplesHoweverTheyAreWritten(string $text): void
    {
        $series = SeriesFile::parse($text, PressureUnit::cases())->series;
        self::assertSame(3, $series->count());
        foreach ([0.0, 0.5, 1.0] as $index => $seconds) {
            self::assertEqualsWithDelta($seconds, $series->times[$index], 1e-6);
            self::assertEqualsWithDelta(6894.757 * $index, $series->values[$index], 0.01);
        }
    }

    /** @return iterable<string, array{string, string, int|null}> text, reason, line */
    public static function bad(): iterable
    {
        yield 'nothing' => ["  \n", 'series.empty', null];
        yield 'a header alone' => ["t [s],p [psi]\n", 'series.empty', null];
        yield 'no units' => ["t,p\n0,1", 'series.header', null];
        yield 'three columns' => ["t [s],p [psi],x [psi]\n0,1,2", 'series.header', null];
        yield 'a unit of another kind' => ["t [s],p [rpm]\n0,1", 'series.unit', null];
        yield 'words' => ["t [s],p [psi]\n0,1\n1,high\n2,3", 'series.line', 3];
        yield 'too many cells' => ["t [s],p [psi]\n0,1\n1,2\n2,3,4", 'series.line', 4];
    }

    #[DataProvider('bad')]
    public function testNamesTheLineAtFault(string $text, string $reason, ?int $line): void
    {
        try {
            SeriesFile::parse($text, PressureUnit::cases());
            self::fail('It was read.');
        } catch (UnreadableSeries $refusal) {
            self::assertSame($reason, $refusal->reason());
            self::assertTrue(null === $line || $line === $refusal->figures()['line'], $refusal->getMessage());
        }
    }

    public function testRefusesMoreThanItsLimitAndTakesAsMany(): void
    {
        $file = static fn (int $samples): string => "t [s],p [psi]\n".implode("\n", array_map(static fn (int $n): string => $n * 0.001.',1', range(1, $samples)));
        self::assertSame(Series::MOST_SAMPLES, SeriesFile::parse($file(Series::MOST_SAMPLES), PressureUnit::cases())->series->count());
        $this->expectException(UnreadableSeries::class);
        SeriesFile::parse($file(Series::MOST_SAMPLES + 1), PressureUnit::cases());
    }

    public function testWhatIsPrintedReadsTheSame(): void
    {
        $random = new Seeded(4);
        $times = $values = [];
        for ($n = 0; $n < 300; ++$n) {
            $times[] = ($times[$n - 1] ?? 0.0) + $random->float(0.001, 0.5);
            $values[] = $random->float(0, 90_000);
        }
        $series = Series::fromSamples($times, $values);
        $again = SeriesFile::parse(SeriesFile::print($series, PressureUnit::Psi), PressureUnit::cases())->series;
        self::assertSame($series->count(), $again->count());
        foreach ($series->values as $index => $value) {
            self::assertEqualsWithDelta($value, $again->values[$index], 0.01);
            self::assertEqualsWithDelta($series->times[$index], $again->times[$index], 2e-6);
        }
    }

    public function testMedianBinsShrugOffSpikes(): void
    {
        $series = Series::fromSamples(array_map(static fn (int $n): float => $n * 0.01, range(0, 999)), array_map(static fn (int $n): float => 0 === $n % 37 ? 500.0 : 5.0, range(0, 999)));
        foreach ($series->binned(0.1)->values as $value) {
            self::assertSame(5.0, $value);
        }
    }

    /** Of half a second: two samples, one on the edge, two, and after a stretch without any the last. */
    public function testBinsByHand(): void
    {
        $bins = Series::fromSamples([0.0, 0.4, 0.5, 1.0, 1.2, 2.9], [2.0, 4.0, 7.0, 5.0, 6.0, 9.0])->binned(0.5);

        self::assertEqualsWithDelta([0.25, 0.75, 1.25, 2.75], $bins->times, 1e-12);
        self::assertSame([3.0, 7.0, 5.5, 9.0], $bins->values);
    }

    public function testALonelyTipGoesAndTheTipOfASwingStays(): void
    {
        $times = [0.0, 1.0, 2.0, 3.0, 4.0, 5.0, 6.0];
        $of = static fn (float ...$values): Series => Series::fromSamples($times, array_values($values));

        self::assertSame([1.0, 1.1, 1.05, 1.0, 1.1, 1.0, 1.1], $of(1.0, 1.1, 9.0, 1.0, 1.1, 1.0, 1.1)->despiked()->values);
        self::assertSame([1.0, 1.1, 1.05, 1.0, 1.1, 1.0, 1.1], $of(1.0, 1.1, -9.0, 1.0, 1.1, 1.0, 1.1)->despiked()->values, 'down as well as up');
        self::assertSame([0.0, 3.0, 6.0, 3.0, 0.0, 3.0, 6.0], $of(0.0, 3.0, 6.0, 3.0, 0.0, 3.0, 6.0)->despiked()->values);
        self::assertSame([9.0, 1.0, 1.1, 1.0, 1.1, 1.0, 9.0], $of(9.0, 1.0, 1.1, 1.0, 1.1, 1.0, 9.0)->despiked()->values, 'an end has one neighbour only');
        self::assertSame([1.0, 1.0, 8.0, 8.0, 8.0, 2.0, 2.0], $of(1.0, 1.0, 8.0, 8.0, 9.0, 2.0, 2.0)->smoothed()->values, 'the middle of three');
    }

    public function testAGapIsTenStepsAndHalfASecond(): void
    {
        $after = static fn (float $step, float $pause): array => Series::fromSamples([0.0, $step, 2 * $step, 3 * $step, 3 * $step + $pause, 4 * $step + $pause], array_fill(0, 6, 1.0))->gaps();

        self::assertSame([], $after(0.01, 0.49), 'fifty steps, and not half a second');
        self::assertCount(1, $after(0.01, 0.51));
        self::assertSame([], $after(0.1, 0.99));
        self::assertEqualsWithDelta([[0.3, 1.31]], $after(0.1, 1.01), 1e-9);
    }

    public function testTheLineOfLeastSquaresAndItsError(): void
    {
        $line = Statistics::line(Series::fromSamples([0.0, 1.0, 2.0, 3.0], [3.0, 5.0, 7.0, 9.0]));
        self::assertEqualsWithDelta(2, $line['slope'] ?? 0, 1e-12);
        self::assertEqualsWithDelta(3, $line['level'] ?? 0, 1e-12);
        self::assertEqualsWithDelta(0, $line['error'] ?? 1, 1e-9);
        // By hand: 0, 1, 0, 1 over 0 to 3 has a slope of 1/5 and residuals whose squares come to 4/5; √(0.8/2/5) = 0.2828.
        $rough = Statistics::line(Series::fromSamples([0.0, 1.0, 2.0, 3.0], [0.0, 1.0, 0.0, 1.0]));
        self::assertEqualsWithDelta(0.2, $rough['slope'] ?? 0, 1e-12);
        self::assertEqualsWithDelta(0.2828, $rough['error'] ?? 0, 0.0001);
        self::assertNull(Statistics::line(Series::fromSamples([0.0, 1.0], [1.0, 2.0])));
        self::assertSame(2.5, Statistics::median([4.0, 1.0, 2.0, 3.0]));
        self::assertSame(0.0, Statistics::median([]));
    }

    /** By hand: −x² + x/2 at −1, 0 and 1 is −1.5, 0 and −0.5, and has its top at a quarter. */
    public function testTheTopOfAParabolaLeansToTheHigherNeighbour(): void
    {
        self::assertSame(0.25, Statistics::lean(-1.5, 0.0, -0.5));
        self::assertSame(-0.25, Statistics::lean(-0.5, 0.0, -1.5));
        self::assertSame(0.0, Statistics::lean(3.0, 3.0, 3.0));
    }

    public function testOfTwoSamplesAtOneTimeTheLastStands(): void
    {
        $series = Series::fromSamples([1.0, 0.0, 1.0, \NAN], [5.0, 0.0, 7.0, 9.0]);
        self::assertSame([0.0, 1.0], $series->times);
        self::assertSame([0.0, 7.0], $series->values);
    }

    public function testNoTraceIsLongerThanTwoHundredThousandSamples(): void
    {
        $samples = range(1.0, 200_000.0);
        self::assertSame(200_000, Series::fromSamples($samples, $samples)->count());
        $this->expectException(UnreadableSeries::class);
        Series::fromSamples([...$samples, 200_001.0], [...$samples, 1.0]);
    }

    public function testElevenDaysAndTenThousandTimesWhatAGaugeSaysArePossible(): void
    {
        self::assertTrue(Series::isPossible(1e6, -1e10));
        self::assertTrue(Series::isPossible(-1e6, 1e10));
        self::assertFalse(Series::isPossible(1_000_001, 0));
        self::assertFalse(Series::isPossible(0, 1.0001e10));
    }

    public function testWhatIsMissingIsCountedAndALongHeaderIsShownInPart(): void
    {
        self::assertSame(0, SeriesFile::parse("t [s],p [psi]\n0,1\n", PressureUnit::cases())->missing);
        self::assertSame(5, SeriesFile::parse("t [s],p [psi]\n0,1\n1,\n2,NaN\n3,null\n4,NA\n5,-\n", PressureUnit::cases())->missing);
        self::assertSame(0, SeriesFile::fromSeries(Series::fromSamples([0.0], [1.0]), PressureUnit::Psi)->missing);
        try {
            SeriesFile::parse(str_repeat('x', 100), PressureUnit::cases());
            self::fail('It was read.');
        } catch (UnreadableSeries $refusal) {
            self::assertStringContainsString(str_repeat('x', 60), $refusal->getMessage());
            self::assertStringNotContainsString(str_repeat('x', 61), $refusal->getMessage());
        }
    }

    public function testIsWrittenToMillionths(): void
    {
        self::assertSame("t [s],value [psi]\n0,0.123457\n1.234568,2\n", SeriesFile::print(Series::fromSamples([0.0, 1.23456789], [PressureUnit::Psi->toSi(0.123456789), PressureUnit::Psi->toSi(2)]), PressureUnit::Psi));
    }

    public function testEveryValueSoManyTimesItself(): void
    {
        self::assertSame([6.0, -3.0], Series::fromSamples([0.0, 1.0], [4.0, -2.0])->times(1.5)->values);
    }
}
