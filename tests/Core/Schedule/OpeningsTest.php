<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule;

use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

/** Held against looking at every minute by itself. */
final class OpeningsTest extends TestCase
{
    private const LAST = 40;

    public function testStretchesByChanceAreWhatTheirMinutesAre(): void
    {
        for ($seed = 1; $seed <= 300; ++$seed) {
            $dice = new Seeded($seed);
            [$one, $other] = [self::stretches($dice), self::stretches($dice)];
            [$openings, $more] = [Openings::of($one), Openings::of($other)];
            $open = self::minutes($one);
            $both = array_values(array_intersect($open, self::minutes($other)));

            self::assertIsTidy($openings, "seed $seed");
            self::assertSame($open, self::minutes($openings->stretches ?? []), "seed $seed");
            self::assertSame($both, self::minutes($openings->and($more)->stretches ?? []), "both, seed $seed");
            self::assertIsTidy($openings->and($more), "both, seed $seed");
            self::assertSame(array_values(array_diff($open, $both)), self::minutes($openings->without($other)->stretches ?? []), "without, seed $seed");
            [$from, $to, $minutes] = [$dice->int(-3, self::LAST), $dice->int(-3, self::LAST), $dice->int(0, 9)];
            self::assertSame(\count(array_filter($open, static fn (int $minute): bool => $minute >= $from && $minute < $to)), $openings->minutesBetween($from, $to), "between, seed $seed");
            foreach ([false, true] as $splits) {
                self::assertSame(self::end($open, $from, $minutes, $splits), $openings->endOf($from, $minutes, $splits), "end from $from after $minutes, seed $seed");
                $starts = array_values(array_filter($open, static fn (int $minute): bool => null !== self::end($open, $minute, $minutes, $splits)));
                $later = array_values(array_filter($starts, static fn (int $minute): bool => $minute >= $from));
                self::assertSame($later[0] ?? null, $openings->firstStart($from, $minutes, $splits), "start from $from for $minutes, seed $seed");
                self::assertSame([] !== $starts, $openings->hold($minutes, $splits), "room for $minutes, seed $seed");
            }
        }
    }

    public function testWhatIsAlwaysThereBeginsAtOnce(): void
    {
        $always = Openings::always();
        self::assertSame(-7, $always->firstStart(-7, 900, false));
        self::assertSame(905, $always->endOf(5, 900, false));
        self::assertTrue($always->hold(1_000_000, false));
        self::assertSame(12, $always->minutesBetween(3, 15));
        self::assertSame(0, $always->minutesBetween(15, 3));
        $some = Openings::of([[2, 9]]);
        self::assertSame([$some, $some], [$always->and($some), $some->and($always)]);
        self::assertSame([[\PHP_INT_MIN, 2], [9, \PHP_INT_MAX]], $always->without([[2, 9]])->stretches);
    }

    /** @return list<array{int, int}> some empty, some turned round, some touching */
    private static function stretches(Seeded $dice): array
    {
        $stretches = [];
        for ($n = $dice->int(0, 6); $n > 0; --$n) {
            $from = $dice->int(0, self::LAST - 12);
            $stretches[] = [$from, $from + $dice->int(-1, 11)];
        }

        return $stretches;
    }

    /**
     * @param list<array{int, int}> $stretches
     *
     * @return list<int> the minutes within them
     */
    private static function minutes(array $stretches): array
    {
        return array_values(array_filter(range(-5, self::LAST), static fn (int $minute): bool => [] !== array_filter($stretches, static fn (array $one): bool => $minute >= $one[0] && $minute < $one[1])));
    }

    /**
     * @param list<int> $open
     *
     * @return int|null when so much work ends that begins at a minute, minute after minute
     */
    private static function end(array $open, int $start, int $minutes, bool $splits): ?int
    {
        if (!\in_array($start, $open, true)) {
            return null;
        }
        $minute = $start;
        for ($left = $minutes; $left > 0; ++$minute) {
            if (\in_array($minute, $open, true)) {
                --$left;
            } elseif (!$splits || $minute > self::LAST) {
                return null;
            }
        }

        return $minute;
    }

    /** Sorted, none empty, and no two that touch. */
    private static function assertIsTidy(Openings $openings, string $message): void
    {
        $last = \PHP_INT_MIN;
        foreach ($openings->stretches ?? [] as [$from, $to]) {
            self::assertLessThan($to, $from, $message);
            self::assertGreaterThan($last, $from, $message);
            $last = $to;
        }
    }
}
