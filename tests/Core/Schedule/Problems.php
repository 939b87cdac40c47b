<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule;

use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\SharedResource;
use AwakeShed\Tests\Seeded;

/** Planning problems to try things on. */
final class Problems
{
    /**
     * @param array<string, SharedResource> $instead of machines, by id
     *
     * @return array{Problem, int} with the makespan that is known to be shortest
     */
    public static function jobShop(string $name, array $instead = []): array
    {
        $text = (string) file_get_contents(__DIR__.'/../../Published/data/job-shops.txt');
        if (1 !== preg_match('/^'.$name.' (\d+) (\d+) (\d+)\n((?:[\d ]+\n)+)/m', $text, $found)) {
            throw new \LogicException('There is no job shop "'.$name.'".');
        }
        $jobs = $operations = [];
        foreach (explode("\n", trim($found[4])) as $job => $line) {
            $jobs[] = new PlanJob('j'.$job);
            foreach (array_chunk(array_map(intval(...), explode(' ', $line)), 2) as $step => [$machine, $minutes]) {
                $operations[] = self::turn($job, $step, $minutes, $machine);
            }
        }
        $machines = array_map(static fn (SharedResource $machine): SharedResource => $instead[$machine->id] ?? $machine, self::machines((int) $found[2]));

        return [new Problem(Objective::Makespan, 1, 2000, $machines, $jobs, $operations), (int) $found[3]];
    }

    /** A job shop as it comes: not every job goes to every machine, and some cannot begin at once. */
    public static function anyJobShop(int $seed): Problem
    {
        $dice = new Seeded($seed);
        $machines = $dice->int(2, 5);
        $jobs = $operations = [];
        for ($job = 0, $count = $dice->int(2, 7); $job < $count; ++$job) {
            $jobs[] = new PlanJob('j'.$job, release: $dice->one([0, 0, 0, $dice->int(1, 30)]));
            for ($step = 0, $steps = $dice->int(1, 5); $step < $steps; ++$step) {
                $operations[] = self::turn($job, $step, $dice->int(1, 20), $dice->int(0, $machines - 1));
            }
        }

        return new Problem(Objective::Makespan, $seed, 2000, self::machines($machines), $jobs, $operations);
    }

    /** A small shop with everything that can stand in a problem. */
    public static function madeUp(int $seed, int $jobs = 3, bool $withPins = true, bool $withBreaks = true, int $budget = 20): Problem
    {
        $dice = new Seeded($seed);
        $bath = $dice->int(1, 3);
        $lift = $dice->int(1, 2);
        $resources = [];
        foreach (['a' => 1, 'b' => 1, 'lift' => $lift, 'bath' => $bath] as $id => $capacity) {
            $resources[] = new SharedResource($id, 1 === \strlen($id), $capacity, 0 === $dice->int(0, 2) ? self::openings($dice) : Openings::always(), 'bath' === $id ? 10 : null);
        }
        $planned = $operations = [];
        for ($job = 0; $job < $jobs; ++$job) {
            $planned[] = new PlanJob('j'.$job, 0 === $dice->int(0, 3) ? null : $dice->int(-10, 120), $dice->int(0, 3), 0 === $dice->int(0, 2) ? $dice->int(0, 50) : 0);
            $last = null;
            for ($step = 0, $steps = $dice->int(1, 4); $step < $steps; ++$step) {
                $anyOf = [['a'], ['b']];
                [$uses, $oneOf, $key] = $dice->one([
                    [[['bath', $dice->int(1, $bath)]], [], $dice->one(['hot', 'cold', null])],
                    [[['bath', 1], ['a', 1]], [], 'hot'],
                    [[], $anyOf, null],
                    [[['lift', 1]], $anyOf, null],
                    [[['a', 1]], [], null],
                    [[], [], null],
                    [[['lift', $lift], ['b', 1]], [], null],
                ]);
                $isBath = 'bath' === ($uses[0][0] ?? null);
                $after = null !== $last ? [$last] : ([] !== $operations && 0 === $dice->int(0, 4) ? [$operations[$dice->int(0, \count($operations) - 1)]->id] : []);
                $operations[] = new Operation(
                    $last = "j$job.$step",
                    'j'.$job,
                    $isBath ? 10 : $dice->int(1, 25),
                    $uses,
                    $oneOf,
                    $after,
                    [] !== $after && 0 === $dice->int(0, 4) ? $dice->int(0, 20) : null,
                    $withPins && 0 === $dice->int(0, 12) ? $dice->int(0, 80) : null,
                    $withBreaks && 0 === $dice->int(0, 3),
                    $key,
                );
            }
        }

        return new Problem(0 === $dice->int(0, 3) ? Objective::Makespan : Objective::WeightedTardiness, $seed, $budget, $resources, $planned, $operations);
    }

    /** A week of a shop: three people, a lift or two, a bath, a run pad; forty jobs of eight steps. */
    public static function week(int $seed, int $jobs = 40, int $steps = 8): Problem
    {
        $dice = new Seeded($seed);
        $people = ['ann', 'ben', 'cleo'];
        $days = 30;
        $resources = [];
        foreach ($people as $place => $person) {
            $open = [];
            foreach (range(0, $days) as $day) {
                if ($day % 7 < 5) {
                    $open[] = [$day * 1440 + 480, $day * 1440 + 720];
                    $open[] = [$day * 1440 + 750, $day * 1440 + 990 - 30 * $place];
                }
            }
            $resources[] = new SharedResource($person, true, 1, Openings::of($open));
        }
        $resources[] = new SharedResource('lift', false, $dice->int(1, 2), Openings::always());
        $resources[] = new SharedResource('bath', false, 3, Openings::always(), 10);
        $resources[] = new SharedResource('pad', false, 1, Openings::of(array_map(static fn (int $day): array => [$day * 1440 + 540, $day * 1440 + 960], range(0, $days))));
        $anyone = array_map(static fn (string $person): array => [$person], $people);
        $planned = $operations = [];
        for ($job = 0; $job < $jobs; ++$job) {
            $release = 0 === $dice->int(0, 3) ? 1440 * $dice->int(0, 4) : 0;
            $planned[] = new PlanJob('j'.$job, $release + $dice->int(1, 6) * 1440 + 960 - $dice->int(0, 300), $dice->int(1, 4), $release);
            for ($step = 0; $step < $steps; ++$step) {
                [$minutes, $uses, $oneOf, $key] = match (true) {
                    $step === $steps - 1 => [$dice->int(2, 12) * 5, [['pad', 1]], $anyone, null],
                    3 === $step => [10, [['bath', 1]], [], $dice->one(['hot', 'solvent'])],
                    5 === $step => [$dice->int(30, 300), [], [], null],
                    default => [$dice->int(2, 12) * 5, ...$dice->one([[[['lift', 1]], $anyone, null], [[], $anyone, null], [[[$dice->one($people), 1]], [], null]])],
                };
                $operations[] = new Operation("j$job.$step", 'j'.$job, $minutes, $uses, $oneOf, 0 === $step ? [] : ["j$job.".($step - 1)], batchKey: $key);
            }
        }

        return new Problem(Objective::WeightedTardiness, 1, 2000, $resources, $planned, $operations);
    }

    /** Of a job in a job shop, on one machine after the other. */
    private static function turn(int $job, int $step, int $minutes, int $machine): Operation
    {
        return new Operation("j$job.$step", 'j'.$job, $minutes, [['m'.$machine, 1]], after: 0 === $step ? [] : ["j$job.".($step - 1)]);
    }

    /** @return non-empty-list<SharedResource> of a job shop */
    private static function machines(int $count): array
    {
        return array_map(static fn (int $machine): SharedResource => new SharedResource('m'.$machine, false, 1, Openings::always()), range(0, $count - 1));
    }

    private static function openings(Seeded $dice): Openings
    {
        $open = [];
        $from = $dice->int(0, 20);
        for ($stretch = $dice->int(1, 5); $stretch > 0; --$stretch) {
            $to = $from + $dice->int(5, 60);
            $open[] = [$from, $to];
            $from = $to + $dice->int(1, 30);
        }

        return Openings::of(1 === $dice->int(0, 1) ? [...$open, [$from + 100, 100_000]] : $open);
    }
}
