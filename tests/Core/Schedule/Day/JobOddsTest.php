<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule\Day;

use AwakeShed\Core\Schedule\Day\JobOdds;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a promise is worth, by where the replays end. */
final class JobOddsTest extends TestCase
{
    /** @return iterable<string, array{list<int>, int|null, float}> ends of the replays, when it is due, share in which it is kept */
    public static function promises(): iterable
    {
        yield 'at the very minute is in time' => [[10, 20, 30, 40], 20, 0.5];
        yield 'a minute late is late' => [[10, 21, 30, 40], 20, 0.25];
        yield 'always' => [[10, 20], 40, 1.0];
        yield 'never' => [[10, 20], 9, 0.0];
        yield 'nothing is promised' => [[10, 20], null, 1.0];
        yield 'nothing was replayed' => [[], 20, 1.0];
    }

    /** @param list<int> $ends */
    #[DataProvider('promises')]
    public function testAPromiseIsKeptInSoManyOfTheReplays(array $ends, ?int $due, float $kept): void
    {
        self::assertSame($kept, (new JobOdds($ends, $due, []))->kept());
    }

    /** @return iterable<string, array{float, int}> share, the minute by which so many are ready */
    public static function shares(): iterable
    {
        yield 'half' => [0.5, 50];
        yield 'a little more than half' => [0.51, 60];
        yield 'four in five' => [0.8, 80];
        yield 'nineteen in twenty' => [0.95, 100];
        yield 'all' => [1.0, 100];
        yield 'hardly any' => [0.001, 10];
    }

    #[DataProvider('shares')]
    public function testReadyByIsReadInOrderOfTheEnds(float $share, int $minute): void
    {
        self::assertSame($minute, (new JobOdds([100, 90, 80, 70, 60, 50, 40, 30, 20, 10], null, []))->readyBy($share));
    }
}
