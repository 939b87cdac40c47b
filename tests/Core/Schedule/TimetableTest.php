<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule;

use AwakeShed\Core\Schedule\Instance;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\Timetable;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

/** Held against looking at every minute by itself: of shops by chance, piece after piece in any order, and some taken out again. */
final class TimetableTest extends TestCase
{
    private const LAST = 700;

    public function testEachPieceIsPutWhereItEndsFirst(): void
    {
        $placed = $refused = 0;
        for ($seed = 1; $seed <= 220; ++$seed) {
            $dice = new Seeded($seed);
            $problem = Problems::madeUp($seed, 3 + $seed % 5, false, 0 === $seed % 2);
            $problem = $problem->changed(operations: array_map(static fn (Operation $one): Operation => new Operation($one->id, $one->job, $one->minutes, $one->uses, $one->oneOf, splits: $one->splits, batchKey: $one->batchKey), $problem->asWritten()));
            $instance = new Instance($problem);
            $table = new Timetable($instance);
            $order = array_values(array_filter(array_keys($problem->operations), static fn (int $at): bool => !isset($instance->unplannable[$at])));
            /** @var array<int, array{int, int, int}> $stands start, end and way, by operation */
            $stands = [];
            for ($turn = 2 * \count($order); $turn > 0; --$turn) {
                $at = $dice->one($order);
                if (isset($stands[$at])) {
                    $table->remove($at);
                    unset($stands[$at]);
                    continue;
                }
                $from = $dice->int(0, 60);
                $first = self::first($instance, $at, $from, $stands);
                $name = "shop $seed, {$problem->operations[$at]->id} from $from";
                if (null !== $first && 0 === $dice->int(0, 2)) {
                    self::assertFalse($table->place($at, $from, $first[1] - 1), "$name, a minute too soon");
                    self::assertSame(Timetable::UNPLACED, $table->start[$at], $name);
                }
                self::assertSame(null !== $first, $table->place($at, $from, null !== $first && 0 === $dice->int(0, 1) ? $first[1] : Instance::NEVER), $name);
                self::assertSame($first ?? [Timetable::UNPLACED, Timetable::UNPLACED, Timetable::UNPLACED], [$table->start[$at], $table->end[$at], $table->way[$at]], $name);
                if (null === $first) {
                    ++$refused;
                    continue;
                }
                ++$placed;
                $stands[$at] = $first;
                // Where it stands it can be set, and a minute on only where there is room as well.
                $table->remove($at);
                unset($stands[$at]);
                $on = self::at($instance, $at, $first[0] + 1, $first[2], $stands);
                self::assertSame(null !== $on, $table->placeAt($at, $first[0] + 1, $first[2]), "$name, a minute on");
                if (null !== $on) {
                    $table->remove($at);
                }
                self::assertTrue($table->placeAt($at, $first[0], $first[2]), $name);
                self::assertFalse($table->placeAt($at, -1, $first[2]));
                self::assertFalse($table->placeAt($at, $first[0], 9), 'there is no such way');
                $stands[$at] = $first;
            }
        }
        self::assertGreaterThan(1000, $placed);
        self::assertGreaterThan(10, $refused);
    }

    /**
     * @param array<int, array{int, int, int}> $stands
     *
     * @return array{int, int, int}|null start, end and way of what ends first
     */
    private static function first(Instance $instance, int $at, int $from, array $stands): ?array
    {
        $best = null;
        foreach (array_keys($instance->problem->operations[$at]->ways()) as $way) {
            for ($start = $from; $start < self::LAST; ++$start) {
                $end = self::at($instance, $at, $start, $way, $stands);
                if (null !== $end) {
                    $best = null === $best || $end < $best[1] ? [$start, $end, $way] : $best;
                    break;
                }
            }
        }

        return $best;
    }

    /**
     * @param array<int, array{int, int, int}> $stands
     *
     * @return int|null its end, where it can begin then
     */
    private static function at(Instance $instance, int $at, int $start, int $way, array $stands): ?int
    {
        $operations = $instance->problem->operations;
        $open = Openings::always();
        $wanted = [];
        foreach ($operations[$at]->ways()[$way] as [$id, $units]) {
            $open = $open->and(self::resource($instance, $id)[1]);
            $wanted[$id] = ($wanted[$id] ?? 0) + $units;
        }
        $end = null === $open->firstStart($start, $operations[$at]->minutes, $operations[$at]->splits) ? null : $open->endOf($start, $operations[$at]->minutes, $operations[$at]->splits);
        if (null === $end) {
            return null;
        }
        foreach ($wanted as $id => $units) {
            [$capacity, , $cycle] = self::resource($instance, $id);
            for ($minute = $start; $minute < $end; ++$minute) {
                $taken = $units;
                foreach ($stands as $other => [$from, $to, $its]) {
                    foreach ($from <= $minute && $minute < $to ? $operations[$other]->ways()[$its] : [] as [$used, $more]) {
                        if ($used !== $id) {
                            continue;
                        }
                        $taken += $more;
                        // What runs in cycles takes others only into the same cycle.
                        if (null !== $cycle && ([$from, $to] !== [$start, $end] || $operations[$other]->batchKey !== $operations[$at]->batchKey)) {
                            return null;
                        }
                    }
                }
                if ($taken > $capacity) {
                    return null;
                }
            }
        }

        return $end;
    }

    /** @return array{int, Openings, int|null} */
    private static function resource(Instance $instance, string $id): array
    {
        foreach ($instance->problem->resources as $resource) {
            if ($resource->id === $id) {
                return [$resource->capacity, $resource->openings, $resource->cycle];
            }
        }
        self::fail("There is no $id.");
    }
}
