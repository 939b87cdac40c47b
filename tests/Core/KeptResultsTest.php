<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Cylinder\Compression;
use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Cylinder\LeakDown;
use AwakeShed\Core\Cylinder\Release;
use AwakeShed\Core\Cylinder\ValveTrain;
use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Beliefs;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Diagnosis\Odds;
use AwakeShed\Core\Diagnosis\Quote;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\Settling;
use AwakeShed\Core\Fuel\VaporLoss;
use AwakeShed\Core\Fuel\WaterShift;
use AwakeShed\Core\Fuel\WaterTolerance;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateState;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Jet\DrillingSchool;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Jet\JetEnlargement;
use AwakeShed\Core\Line\ElementState;
use AwakeShed\Core\Line\ElementTone;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Money\Chances;
use AwakeShed\Core\Money\WorkTime;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Oil\GasolineBlend;
use AwakeShed\Core\Oil\ThinnedOil;
use AwakeShed\Core\Progress\LookBack;
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Progress\ProofRun;
use AwakeShed\Core\Progress\Unproved;
use AwakeShed\Core\Repair\Beta;
use AwakeShed\Core\Running\AirDensity;
use AwakeShed\Core\Running\Alternator;
use AwakeShed\Core\Running\BladeTip;
use AwakeShed\Core\Running\FuelNeed;
use AwakeShed\Core\Running\InletFlow;
use AwakeShed\Core\Running\SprayNozzle;
use AwakeShed\Core\Running\StandardAtmosphere;
use AwakeShed\Core\Schedule\Builder;
use AwakeShed\Core\Schedule\Day\LearnedTime;
use AwakeShed\Core\Schedule\Day\PieceKinds;
use AwakeShed\Core\Schedule\Day\Replays;
use AwakeShed\Core\Schedule\Day\Saving;
use AwakeShed\Core\Schedule\Exhaustive;
use AwakeShed\Core\Schedule\Incumbent;
use AwakeShed\Core\Schedule\Instance;
use AwakeShed\Core\Schedule\JobOrderSearch;
use AwakeShed\Core\Schedule\JobShop;
use AwakeShed\Core\Schedule\LowerBound;
use AwakeShed\Core\Schedule\Mender;
use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\Parallel;
use AwakeShed\Core\Schedule\Pins;
use AwakeShed\Core\Schedule\Placed;
use AwakeShed\Core\Schedule\Plan;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\Reinsertion;
use AwakeShed\Core\Schedule\Rules;
use AwakeShed\Core\Schedule\Season\Forecast;
use AwakeShed\Core\Schedule\Season\Load;
use AwakeShed\Core\Schedule\SharedResource;
use AwakeShed\Core\Schedule\Steps;
use AwakeShed\Core\Sight\PhotoJar;
use AwakeShed\Core\Sight\PhotoRule;
use AwakeShed\Core\Sight\PhotoStick;
use AwakeShed\Core\Sight\Point;
use AwakeShed\Core\Simulation\Dice;
use AwakeShed\Core\Simulation\EngineSound;
use AwakeShed\Core\Simulation\HiddenMachine;
use AwakeShed\Core\Simulation\Order;
use AwakeShed\Core\Simulation\Technician;
use AwakeShed\Core\Simulation\World;
use AwakeShed\Core\Sound\Firing;
use AwakeShed\Core\Sound\HeardSpeed;
use AwakeShed\Core\Sound\Tachometer;
use AwakeShed\Core\Sound\WavFile;
use AwakeShed\Core\Spark\Battery;
use AwakeShed\Core\Spark\CoilComparison;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Resistance;
use AwakeShed\Core\Units\ResistanceUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Tests\Core\Diagnosis\Assessing;
use AwakeShed\Tests\Core\Diagnosis\CoursesTest;
use AwakeShed\Tests\Core\Schedule\Problems;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What long reckonings come to, to nine digits, kept in tests/Core/Kept, a result a line. Other tests say what must hold of a
 * plan, a trace or a belief; many a slip leaves all of that true and the result another.
 */
final class KeptResultsTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): iterable<string>}> */
    public static function results(): iterable
    {
        yield 'plans-of-small-shops' => [static function (): iterable {
            for ($seed = 1; $seed <= 60; ++$seed) {
                yield self::plan("shop $seed", Planner::plan(Problems::madeUp($seed, 2 + $seed % 4)));
            }
        }];
        yield 'plans-of-larger-shops' => [static function (): iterable {
            // More than can all be tried.
            for ($seed = 101; $seed <= 150; ++$seed) {
                yield self::plan("shop $seed", Planner::plan(Problems::madeUp($seed, 7 + $seed % 5, budget: 50)));
            }
        }];
        yield 'plans-of-weeks' => [static function (): iterable {
            foreach ([[1, 36, 6, 400], [2, 40, 7, 300], [3, 30, 8, 500]] as [$seed, $jobs, $steps, $budget]) {
                yield self::plan("week $seed", Planner::plan(Problems::week($seed, $jobs, $steps)->with(budget: $budget)));
            }
            foreach (['ft06' => 200, 'la01' => 300, 'la02' => 400, 'ft10' => 500] as $name => $budget) {
                yield self::plan($name, Planner::plan(Problems::jobShop($name)[0]->with(budget: $budget)));
            }
        }];
        yield 'lower-bounds' => [static function (): iterable {
            // The highest of several counts: each is seen by itself where all that is left is on one resource.
            foreach (range(601, 680) as $seed) {
                foreach ([Problems::madeUp($seed, 2 + $seed % 9), Problems::madeUp($seed, 6, false, false), Problems::week($seed, 3 + $seed % 7, 2 + $seed % 6)] as $number => $problem) {
                    foreach (Objective::cases() as $objective) {
                        $bound = static fn (Operation ...$operations): int => LowerBound::of(new Instance(new Problem($objective, 1, 20, $problem->resources, $problem->jobs, array_values($operations))));
                        $alone = array_map(static fn (SharedResource $resource): int => $bound(...array_map(static fn (Operation $one): Operation => new Operation($one->id, $one->job, $one->minutes, $one->uses, $one->oneOf, splits: $one->splits, batchKey: $one->batchKey), array_filter($problem->operations, static fn (Operation $one): bool => \in_array($resource->id, array_column(array_merge(...$one->ways()), 0), true)))), $problem->resources);
                        yield "$seed.$number, $objective->value: ".$bound(...$problem->operations).', alone '.implode(' ', $alone);
                    }
                }
            }
        }];
        yield 'lower-bounds-count-by-count' => [static function (): iterable {
            // The highest of them hides the others.
            $counts = \Closure::bind(static function (Instance $instance): string {
                $bound = new LowerBound($instance);
                $said = ['people '.$bound->people()];
                foreach ($instance->problem->resources as $at => $resource) {
                    $own = $bound->always($at);
                    $said[] = "$resource->id: ".implode(' ', [$bound->broken($own, $resource->openings), $bound->shortestFirst($own, $resource->openings, array_fill(0, \count($instance->ofJob), 7)), $bound->shared($at, $resource), $bound->cycles($at, $resource, 10)]);
                }

                return implode(', ', $said);
            }, null, LowerBound::class);
            foreach (range(601, 660) as $seed) {
                foreach ([Problems::madeUp($seed, 2 + $seed % 9), Problems::madeUp($seed, 6, false, false), Problems::week($seed, 3 + $seed % 7, 2 + $seed % 6)] as $number => $problem) {
                    yield "$seed.$number: ".$counts(new Instance($problem));
                }
            }
        }];
        yield 'plans-cut-short' => [static function (): iterable {
            // A search that is stopped on its way shows each of its steps; one that ends comes to the same by many ways.
            for ($seed = 201; $seed <= 207; ++$seed) {
                $problems = ['shop' => Problems::madeUp($seed, 5 + $seed % 6), 'free shop' => Problems::madeUp($seed, 4 + $seed % 5, false, false), 'week' => Problems::week($seed, 6 + $seed % 9, 3 + $seed % 4)];
                foreach ($problems as $name => $problem) {
                    foreach (Objective::cases() as $objective) {
                        yield "$name $seed, $objective->value: ".implode(', ', array_map(static fn (int $budget): string => self::inShort(Planner::plan(new Problem($objective, $problem->seed, $budget, $problem->resources, $problem->jobs, $problem->asWritten()))), [1, 2, 4, 9, 20]));
                    }
                }
            }
            // Where a machine stands twice, or shuts, what is told of job shops does not hold.
            foreach (['two of a machine' => new SharedResource('m0', false, 2, Openings::always()), 'a machine that shuts' => new SharedResource('m1', false, 1, Openings::of([[0, 30], [45, 500]]))] as $which => $machine) {
                yield "ft06, $which: ".implode(', ', array_map(static fn (int $budget): string => self::inShort(Planner::plan(Problems::jobShop('ft06', [$machine->id => $machine])[0]->with(budget: $budget))), [1, 5, 40]));
            }
            foreach (['ft06', 'la01', 'la02', 'ft10'] as $name) {
                yield "$name: ".implode(', ', array_map(static fn (int $budget): string => self::inShort(Planner::plan(Problems::jobShop($name)[0]->with(budget: $budget))), [1, 2, 3, 5, 8, 12, 20, 35, 60, 100]));
            }
        }];
        yield 'searches-step-by-step' => [static function (): iterable {
            // What a search goes through shows in its steps, also where it comes to the same by another way.
            foreach (range(301, 312) as $seed) {
                foreach (['shop' => Problems::madeUp($seed, 3 + $seed % 3), 'free shop' => Problems::madeUp($seed, 3 + $seed % 2, false, 0 === $seed % 2), 'larger shop' => Problems::madeUp($seed, 9), 'week' => Problems::week($seed, 5 + $seed % 7, 4)] as $name => $problem) {
                    $base = self::begun($problem);
                    $instance = $base->instance;
                    $first = null;
                    $rules = [];
                    foreach ((new Rules($instance))->all() as $order) {
                        [$serial, $parallel] = [clone $base, clone $base];
                        $serial->build(array_merge(...array_map(static fn (int $job): array => $instance->ofJob[$job], $order)));
                        Parallel::build($parallel, array_flip($order));
                        $rules[] = implode(' ', $serial->rank())." in {$serial->table->steps}, ".implode(' ', $parallel->rank())." in {$parallel->table->steps}";
                        $first ??= [$serial, $order];
                    }
                    [$plan, $order] = $first ?? throw new \LogicException('There is no rule.');
                    yield "$name $seed, bound ".LowerBound::of($instance).', rules '.implode('; ', $rules);
                    // Of a small one so many that it loses patience and goes back to the best.
                    [$rounds, $moves] = 'shop' === $name ? [2, 850] : [5, 8];
                    $steps = new Steps(8000);
                    if (\count($order) > 1) {
                        yield "$name $seed, jobs: ".self::stepByStep(new JobOrderSearch($base, $order, $found = new Incumbent($plan, $steps), $seed), $found, $rounds, $moves);
                    }
                    yield "$name $seed, operations: ".self::stepByStep(new Reinsertion($found = new Incumbent($plan, new Steps(8000)), $seed), $found, $rounds, $moves);
                }
            }
            foreach (range(401, 520) as $seed) {
                $base = self::begun(Problems::madeUp($seed, 2 + $seed % 2, 0 === $seed % 5, 0 === $seed % 3));
                $plan = clone $base;
                $plan->build($base->instance->order);
                $isTried = Exhaustive::search($base, $tried = new Incumbent($plan, new Steps(400)));
                yield "small $seed, ".($isTried ? 'all tried, ' : 'not tried, ').self::foundSoFar($tried, ', left ');
            }
            foreach (['ft06', 'la01', 'la02', 'ft10'] as $name) {
                $base = self::begun(Problems::jobShop($name)[0]);
                $instance = $base->instance;
                Parallel::build($base, array_flip(iterator_to_array((new Rules($instance))->all(), false)[0]));
                foreach ([1, 3, 10, 40] as $budget) {
                    JobShop::search($instance, $found = new Incumbent($base, new Steps($budget)), LowerBound::of($instance), $budget);
                    yield "$name, $budget: ".self::foundSoFar($found).' '.hash('crc32b', implode(' ', $found->best->table->start));
                }
            }
        }];
        yield 'job-shops-step-by-step' => [static function (): iterable {
            // A small one is soon at its best, and goes on anew from what it remembers: that shows in what it has at hand only.
            $begun = \Closure::bind(static fn (Instance $instance, Incumbent $found, int $seed): JobShop => new JobShop($instance, $found, $seed), null, JobShop::class);
            $run = \Closure::bind(static function (JobShop $shop, int $bound): string {
                $shop->run($bound);

                return "{$shop->iteration}: {$shop->makespan}, good {$shop->good}, best {$shop->best}, ".hash('crc32b', (string) json_encode([$shop->head, $shop->tail, $shop->machineBefore, $shop->tabu, $shop->remembered]));
            }, null, JobShop::class);
            for ($seed = 1; $seed <= 40; ++$seed) {
                $instance = new Instance(Problems::anyJobShop($seed));
                if (JobShop::is($instance)) {
                    $base = new Builder($instance);
                    $base->build($instance->order);
                    $said = [];
                    foreach ([1, 4, 12, 30] as $budget) {
                        $shop = $begun($instance, new Incumbent($base, new Steps($budget)), $seed);
                        $said[] = $run($shop, -1);
                    }
                    yield "$seed, {$instance->count} operations: ".implode('; ', $said);
                }
            }
        }];
        yield 'plans-that-are-mended' => [static function (): iterable {
            $former = Planner::plan(Problems::week(2, 12)->with(budget: 200));
            foreach ([3, 20, 41, 60] as $at) {
                $slipped = $former->placed[$at]->operation;
                yield self::plan("slip of $slipped->id", Mender::mend(self::longer($former->problem, $slipped->id, 45), $former));
            }
            yield self::plan('a job more', Mender::mend(Problems::week(2, 13)->with(budget: 200), $former));
        }];
        yield 'promises' => [static function (): iterable {
            foreach ([[1, 36, 6], [4, 40, 7]] as [$seed, $jobs, $steps]) {
                $plan = Planner::plan(Problems::week($seed, $jobs, $steps)->with(budget: 100));
                $spread = array_map(static fn (int $n): float => [0.0, 0.25, 0.5][$n % 3], array_flip(array_map(static fn (Placed $one): string => $one->operation->id, $plan->placed)));
                foreach ((new Replays($plan))->run($spread, $seed, 200) as $job => $odds) {
                    yield \sprintf('week %d, %s: kept %s, half %d, most %d, nearly %d, hangs on %s', $seed, $job, Kept::figure($odds->kept()), $odds->readyBy(0.5), $odds->readyBy(0.8), $odds->readyBy(0.95), implode(' ', $odds->hangsOn));
                }
                $timed = array_map(static fn (int $n): array => [20.0 + $n, (20.0 + $n) * (0.8 + 0.07 * (($seed * $n) % 9))], range(1, 3 + 2 * $seed));
                yield "week $seed, learned: ".Facts::of(LearnedTime::from(0.3, [...$timed, [20.0, 500.0]]));
                foreach (Saving::of($plan, ['j1', 'j3']) as $one) {
                    yield "week $seed, saved by $one->what of $one->whose: $one->saved, keeps ".implode(' ', $one->kept);
                }
            }
        }];
        yield 'savings' => [static function (): iterable {
            for ($seed = 701; $seed <= 714; ++$seed) {
                $problem = Problems::madeUp($seed, 3 + $seed % 4);
                $plan = Planner::plan(new Problem(Objective::WeightedTardiness, $seed, 20, $problem->resources, $problem->jobs, $problem->asWritten()));
                yield "$seed, late by {$plan->tardiness()}: ".implode('; ', array_map(static fn (Saving $one): string => "$one->what of $one->whose $one->saved, keeps ".implode(' ', $one->kept), Saving::of($plan, array_column($problem->jobs, 'id'))));
            }
        }];
        yield 'seasons-by-chance' => [static function (): iterable {
            for ($seed = 1; $seed <= 40; ++$seed) {
                $dice = new Seeded($seed);
                $swing = $dice->int(0, 8);
                $weeks = array_map(static fn (int $week): int => $dice->int(0, 4) + (intdiv($week % 52, 5) === $seed % 10 ? $swing : 0), range(1, $dice->int(1, 190)));
                $forecast = Forecast::from($weeks);
                yield "$seed, ".\count($weeks).' weeks: '.self::season($forecast, [1, 2, 5, 13, 30, 52, 53, 60]);
                $load = new Load((float) $dice->int(0, 60), array_map(static fn (int $ahead): float => $forecast->expected($ahead), range(1, 12)), array_map(static fn (): float => (float) $dice->int(0, 9), range(1, 12)));
                yield "$seed, left over ".implode(' ', array_map(Kept::figure(...), $load->leftOver())).'; done in '.implode(' ', array_map(static fn (int $week): string => (string) ($load->doneIn($week) ?? '–'), range(0, 11))).'; last for '.implode(' ', array_map(static fn (int $by): string => (string) ($load->lastFor($by) ?? '–'), range(0, 13)));
                $timed = array_map(static fn (): array => [(float) $dice->int(5, 60), (float) $dice->int(1, 200)], range(1, $dice->int(1, 9)));
                yield "$seed, learned: ".Facts::of(LearnedTime::from($dice->float(0.1, 0.8), $timed));
            }
        }];
        yield 'seasons' => [static function (): iterable {
            $dice = new Seeded(5);
            foreach ([30, 60, 110, 170] as $weeks) {
                $forecast = Forecast::from(array_map(static fn (int $week): int => $dice->int(0, 2) + (0 === intdiv($week % 52, 6) ? 6 : 0), range(1, $weeks)));
                yield "$weeks weeks: ".self::season($forecast, range(1, 60, 7));
            }
        }];
        yield 'what-courses-come-to' => [static function (): iterable {
            $courses = [...CoursesTest::courses(), ...CoursesTest::coursesBeyondTheEngine()];
            foreach (array_filter(array_keys($courses), static fn (int $number): bool => 0 === $number % 2, \ARRAY_FILTER_USE_KEY) as $name) {
                $course = $courses[$name];
                $case = Assessing::case($course[0], new MachineFacts(MachineKind::from($course[2]), ...$course[3] ?? []), new PutRight('oil.overfilled'));
                yield from self::comesTo($name, $case, Assessing::assessor()->assess($case));
            }
        }];
        yield 'cases-by-chance' => [static function (): iterable {
            // Looks, acts and cures as nobody makes them, of machines as they come.
            $vocabulary = Vocabulary::shipped();
            for ($seed = 1; $seed <= 36; ++$seed) {
                $dice = new Seeded($seed);
                $machine = new MachineFacts($dice->one(MachineKind::cases()), $dice->one([Cycle::FourStroke, Cycle::FourStroke, Cycle::TwoStroke]), displacementCc: $dice->one([null, 163, 420]), compressionRelease: $dice->one([null, true, false]), choke: $dice->one(ChokeKind::cases()));
                $chance = new EventsByChance($dice, $machine);
                $events = [];
                for ($n = $dice->int(2, 26); $n > 0; --$n) {
                    $test = $chance->test();
                    $events[] = match ($dice->int(0, 7)) {
                        0 => $chance->done(),
                        1 => $chance->putRight(),
                        default => $chance->finding($test),
                    };
                }
                $case = new CaseFile($machine, $events);
                $assessment = Assessing::assessor()->assess($case);
                yield from self::comesTo("$seed, {$machine->kind->value}", $case, $assessment);
                yield "$seed, next: ".Facts::of(\array_slice($assessment->next, 0, 6)).'; blocked '.\count($assessment->blocked).'; against one another '.Facts::of($assessment->contradictions).'; split '.Facts::said($assessment->split);
                yield "$seed, why: ".Facts::of(\array_slice($assessment->faults, 0, 4)).'; causes '.Facts::of(array_column($assessment->causes(), 'fault')).'; also '.Facts::of(array_column($assessment->alsoToDo(), 'fault')).'; takes '.Facts::of(WorkTime::of($case, $vocabulary, Cures::shipped())).'; left of the proof '.implode(' ', ProofRun::left($case));
            }
        }];
        yield 'beliefs' => [static function (): iterable {
            foreach ([...CoursesTest::courses(), ...CoursesTest::coursesBeyondTheEngine()] as $name => [$findings, , $kind]) {
                $assessment = Assessing::of($findings, $kind);
                yield $name.': '.implode('; ', array_map(static fn (Suspect $one): string => $one->fault.' '.Kept::figure($one->probability).' by '.\count($one->because), \array_slice($assessment->faults, 0, 5)));
                yield $name.', next: '.implode('; ', array_map(static fn (NextTest $one): string => $one->test.' '.Kept::figure($one->bits).' in '.Kept::figure($one->minutesHere), \array_slice($assessment->next, 0, 3)));
            }
        }];
        yield 'bench-figures' => [static function (): iterable {
            [$ml, $psi, $mm, $c, $cst] = [Volume::millilitres(...), Pressure::psi(...), Length::millimetres(...), Temperature::celsius(...), KinematicViscosity::centistokes(...)];
            foreach ([0.0, 0.02, 0.1, 0.4, 0.9] as $fraction) {
                yield "oil with $fraction of gasoline: ".Facts::of(GasolineBlend::blended($cst(93), $cst(0.55), $fraction));
                $thinned = ThinnedOil::thinned($cst(93), $cst(10.8), $fraction);
                yield "oil with $fraction of gasoline at −20, 0, 25 °C: ".Facts::of([$thinned->at($c(-20)), $thinned->at($c(0)), $thinned->at($c(25)), $thinned->cleanAt($c(-10)), $thinned->behavesAs(), $thinned->flammability()]);
            }
            foreach ([[700, null, 10], [650, 20, 0], [1400, 50, 25]] as [$drained, $left, $error]) {
                $dilution = Dilution::drained($ml(600), $ml($drained), null === $left ? null : $ml($left), $ml($error));
                yield "of 600 mL $drained came out: ".Facts::of([$dilution, $dilution->least(), $dilution->most(), $dilution->band(), $dilution->isClean(), $dilution->isFarOver()]);
            }
            yield 'flushed: '.Facts::of([FlushPlan::reach(0.4, 0.1, 0.02, 0.7, $ml(600)), FlushPlan::reach(0.03, 0.3, 0.01, 1.0, $ml(1500), 1), FlushPlan::leftShare($ml(600), $ml(540))]);
            foreach ([[100, 10, 18.5, 15], [100, 20, 31, 22], [50, 10, 10.2, 5]] as [$fuel, $water, $aqueous, $at]) {
                $content = WaterShift::read($ml($fuel), $ml($water), $ml($aqueous), $c($at))->content();
                yield "$water mL of water in $fuel mL of fuel came to $aqueous mL: ".Facts::of([$content, $content->least(), $content->most(), $content->grade(), $content->againstSmallEngineLimit()]);
            }
            foreach ([[0.0, 15], [0.1, 15.6], [0.1, -7], [0.05, 31], [0.15, 40], [0.123, -20]] as [$ethanol, $at]) {
                yield "water held by fuel of $ethanol ethanol at $at °C: ".Facts::of(WaterTolerance::shipped()->tolerated($ethanol, $c($at), $ml(4000)));
            }
            yield 'settling: '.Facts::of([Settling::firstLook($mm(120)), Settling::fullWait($mm(120)), Settling::through($mm(80), Length::micrometres(33))]);
            yield 'stored: '.Facts::of([VaporLoss::after(CalendarSpan::months(6), true), VaporLoss::after(CalendarSpan::months(30), false)]);
            yield 'air: '.Facts::of([StandardAtmosphere::pressureShare(1600), StandardAtmosphere::densityShare(1600), AirDensity::share($mm(900_000), $c(-12))]);
            foreach ([Cycle::FourStroke, Cycle::TwoStroke] as $cycle) {
                $need = FuelNeed::atSpeed($ml(163), ShaftSpeed::of(3100, SpeedUnit::Rpm), $cycle);
                yield "drinks, {$cycle->value}: ".Facts::of([$need->gramsPerMinute(), $need->flow(), $need->metBy($need->flow()), $need->metBy($need->flow()->times(2.999)), $need->metBy($need->flow()->times(3.001))]);
            }
            yield 'blade, nozzle, alternator: '.Facts::of([BladeTip::fastest($mm(533.4)), SprayNozzle::forPump(VolumeFlow::of(2.5, FlowUnit::GallonPerMinute), $psi(2600)), Alternator::withPoles(Count::each(2))->frequency(ShaftSpeed::of(3550, SpeedUnit::Rpm)), Alternator::withPoles(Count::each(4))->speed(Frequency::of(50, FrequencyUnit::Hertz))]);
            $bucket = InletFlow::fromBucket($ml(9500), Duration::seconds(31), VolumeFlow::of(4, FlowUnit::GallonPerMinute), 0.03, Duration::seconds(0.5));
            yield 'a bucket: '.Facts::of([$bucket, $bucket->halfWidth(), $bucket->margin(), $bucket->isEnough(), $bucket->isShort()]);
            foreach (StagePlan::shipped(Vocabulary::shipped(), new Gatekeeper(Vocabulary::shipped(), Closures::shipped()))->stages() as $stage) {
                yield "stage $stage->id: ".Kept::short(Facts::of($stage));
            }
            yield 'pieces of a day: '.Facts::of(PieceKinds::shipped()->kinds);
            yield 'valves, every 17 degrees: '.Facts::of(array_map(static fn (int $n): array => [ValveTrain::exhaustLift(17.0 * $n), ValveTrain::intakeLift(17.0 * $n), ValveTrain::isLashSetHere(17.0 * $n, 15)], range(-2, 44)));
            yield 'releases: '.Facts::of(array_map(static fn (array $one): Release => Release::forMachine(new MachineFacts(MachineKind::Mower, cycle: $one[0], compressionRelease: $one[1])), [[Cycle::FourStroke, true], [Cycle::FourStroke, false], [Cycle::FourStroke, null], [Cycle::TwoStroke, true]]));
            $lock = Hydrolock::in($ml(163), Ratio::of(8.2, RatioUnit::ToOne), $ml(9), $ml(3), 1.0);
            yield 'liquid in a cylinder: '.Facts::of([$lock, $lock->isLocked(), $lock->mayLock(), $lock->effectiveCompression(), $lock->timeToFill(Frequency::of(6, FrequencyUnit::PerMinute), $ml(0.04))]);
            yield 'compression, leak-down: '.Facts::of([Compression::read($psi(72), $mm(1_200_000), Release::NotFitted, $psi(2)), LeakDown::read($psi(95), $psi(81), $psi(1.5))]);
            $jet = JetBore::ofDiameter($mm(0.68));
            yield 'a jet: '.Facts::of([$jet->flowInto(JetBore::ofDiameter($mm(0.73))), $jet->flowError(JetBore::ofDiameter($mm(0.73)), $mm(0.01)), $jet->forAir(0.87)->diameter, $jet->nearestMetricDrill(), $jet->widestWire(), JetEnlargement::weigh($jet, JetBore::ofDiameter($mm(0.73)), DrillingSchool::NextSizeUp, [], null)->mixtureFrom(14.7)]);
            $beta = Beta::worth(0.8, 8)->seen(5, 2);
            yield 'chances: '.Facts::of([$beta, $beta->mean(), $beta->cumulative(0.7), $beta->quantile(0.1), $beta->quantile(0.9)]);
            foreach ([12.7, 12.5, 12.3, 12.1, 11.95, 11.0] as $volts) {
                yield "a battery at $volts V: ".Facts::of([Battery::measured(Voltage::volts($volts), null, null)->charge(), Battery::measured(Voltage::volts($volts), Voltage::volts(9.7), Voltage::volts(14.1))->verdict(), Battery::measured(Voltage::volts($volts), Voltage::volts(9.4), Voltage::volts(13.6))->verdict()]);
            }
            yield 'a coil: '.Facts::of(CoilComparison::against(Resistance::of(3000, ResistanceUnit::Ohm), Resistance::of(3300, ResistanceUnit::Ohm), error: 0.02));
            yield 'photos: '.Facts::of([PhotoJar::read(Point::at(400, 1800), Point::at(410, 1500), Point::at(430, 300), Point::at(200, 1810), Point::at(240, 290), 4), PhotoStick::read(Point::at(100, 900), Point::at(130, 500), Point::at(118, 640), 6), PhotoRule::between(Point::at(10, 20), Point::at(400, 300), Point::at(0, 0), Point::at(0, 500), $mm(100), 4)]);
        }];
        yield 'made-up-winters' => [static function (): iterable {
            $vocabulary = Vocabulary::shipped();
            foreach (World::cases() as $world) {
                $model = $world->model(Odds::shipped(), new Dice(5));
                for ($number = 0; $number < 12; ++$number) {
                    $machine = HiddenMachine::draw($model, $vocabulary, new Dice($number));
                    $worked = (new Technician(FaultModel::shipped(), $vocabulary, new Gatekeeper($vocabulary, Closures::shipped())))->work($machine, Order::Suggested, new Dice($number));
                    yield "$world->value $number, {$machine->intake->machine->kind->value}: ".implode(' ', array_filter($model->faults(), $machine->has(...))).'; '.Facts::of($worked);
                }
            }
        }];
        yield 'recordings-as-made' => [static function (): iterable {
            $engine = static fn (int $rate, int $seed = 3): EngineSound => EngineSound::engine($rate, 1.2, static fn (float $t): float => 24 + 3 * $t, $seed, [1.0, 0.7], 210);
            foreach ([
                'an engine' => EngineSound::engine(8000, 1, static fn (): float => 25, 1),
                'two cylinders, getting quicker' => $engine(8000),
                'the same, more finely' => $engine(11_025),
                'noise' => $engine(8000)->noise(3),
                'wind' => $engine(8000)->wind(-2),
                'wind, more finely' => $engine(11_025)->wind(-2),
                'a fan' => $engine(8000)->hum(73, 5),
                'another' => $engine(8000)->and($engine(8000, 9), 4),
                'a shorter one beside it' => $engine(8000)->and(EngineSound::engine(8000, 0.4, static fn (): float => 31, 7), -3),
            ] as $what => $sound) {
                $samples = unpack('s*', substr($sound->wav(16), 44));
                yield "$what: ".Kept::summed(array_map(static fn (mixed $sample): float => \is_int($sample) ? (float) $sample : \NAN, array_values(\is_array($samples) ? $samples : [])));
            }
        }];
        yield 'worlds' => [static function (): iterable {
            foreach (World::cases() as $world) {
                $model = $world->model(Odds::shipped(), new Dice(5));
                yield "$world->value, beforehand: ".Kept::summed(array_values(Beliefs::before($model, new CaseFile(new MachineFacts(MachineKind::Mower)))));
                foreach ($model->tests as $test => $shows) {
                    yield "$world->value, $test: ".Kept::summed(array_merge(...array_values($shows->causes))).'; sound '.implode(' ', array_map(Kept::figure(...), $shows->sound));
                }
            }
        }];
        yield 'sounds' => [static function (): iterable {
            foreach (range(1, 24) as $n) {
                $dice = new Seeded($n);
                $firing = Firing::cases()[$n % \count(Firing::cases())];
                $beat = $dice->float(15, 45);
                $sound = EngineSound::engine([8000, 11_025][$n % 2], $dice->float(3, 6), 0 === $n % 3 ? static fn (float $t): float => $beat * (1 + 0.05 * sin(2 * \M_PI * $t / 1.4)) : static fn (): float => $beat, $n, ring: $dice->float(120, 320));
                match ($n % 5) {
                    0 => $sound->noise(6),
                    1 => $sound->wind(4),
                    2 => $sound->hum(120, 6),
                    3 => $sound->and(EngineSound::engine(8000, 5, static fn (): float => $beat * 1.31, 100 + $n), 6),
                    default => $sound->noise(-4),
                };
                $heard = Tachometer::hear(WavFile::read($sound->wav([8, 16, 24][$n % 3])), $firing, 0 === $n % 4 ? ShaftSpeed::of(3000, SpeedUnit::Rpm) : null);
                yield "sound $n, {$firing->value}, ".Kept::figure($beat)." beats a second: {$heard->verdict->value}, sure ".Kept::figure($heard->confidence).', ± '.Kept::figure($heard->error()).'; '
                    .implode('; ', array_map(static fn (HeardSpeed $one): string => Kept::figure($one->speed->in(SpeedUnit::Rpm)).' rpm, '.$one->speeds->count().' beats '.implode(' ', array_map(Kept::figure(...), \array_slice($one->speeds->values, 0, 3))), $heard->readings));
            }
        }];
    }

    /** @param \Closure(): iterable<string> $results */
    #[DataProvider('results')]
    public function testComesToWhatItCame(\Closure $results): void
    {
        Kept::is(__DIR__.'/Kept/'.$this->dataName().'.txt', $results());
    }

    /** @param list<int> $ahead weeks */
    private static function season(Forecast $forecast, array $ahead): string
    {
        return 'average '.Kept::figure($forecast->average()).($forecast->isBetter() ? ', a season' : ', none').', errors '.implode(' ', array_map(Kept::figure(...), $forecast->errors())).', then '.implode(' ', array_map(static fn (int $week): string => Kept::figure($forecast->expected($week)), $ahead));
    }

    private static function plan(string $name, Plan $plan): string
    {
        return "$name: worth {$plan->value()} of {$plan->lowerBound}".($plan->isProved ? ', proved' : '').'; '
            .implode('; ', array_map(static fn (Placed $one): string => "{$one->operation->id} {$one->start}–{$one->end} ".implode(' ', array_map(static fn (array $use): string => implode(' × ', array_reverse($use)), $one->uses())), $plan->placed))
            .implode('', array_map(static fn (array $one): string => "; not {$one[0]->id}, {$one[1]->name}", $plan->unplanned));
    }

    /** @return iterable<string> all that is made of a case */
    private static function comesTo(string $name, CaseFile $case, Assessment $assessment): iterable
    {
        $vocabulary = Vocabulary::shipped();
        $keeper = new Gatekeeper($vocabulary, Closures::shipped());
        [$line, $walk, $cures, $assessor] = [Line::shipped(FaultModel::shipped(...)), GateWalk::shipped($vocabulary, $keeper), Cures::shipped(), Assessing::assessor()];
        yield "$name, stands ".Facts::of((new Progression($vocabulary, $keeper, $walk))->standOf($case, $assessment));
        yield "$name, gates: ".implode('; ', array_map(static fn (GateState $gate): string => $gate->gate->id.($gate->isPassed() ? ' passed' : '').($gate->isOptional() ? ' optional' : '').' '.implode(' ', $gate->missing), $walk->walked($case)));
        yield "$name, line: ".implode('; ', array_map(static fn (ElementState $state): string => "{$state->element->value} {$state->tone->value} ".implode(' ', array_column($state->because, 'test')), array_filter($line->states($case, $assessment->faults), static fn (ElementState $state): bool => ElementTone::NotLookedAt !== $state->tone)));
        yield "$name, bad: ".implode(' ', array_map(static fn (PutRight|Done|Finding $event): string => $event instanceof Finding && $line->provesBad($event) ? $event->test : '', $case->events));
        yield "$name, suspects: ".implode('; ', array_map(static fn (Suspect $one): string => $one->fault.($one->isRaised() ? ' raised' : '').($one->isFound() ? ' found' : '').($one->isSure() ? ' sure' : ''), \array_slice($assessment->faults, 0, 5)));
        $quote = Quote::reckoned(Chances::of($case, $assessor->beliefs($case), $cures), $cures, 84.0, 0.75);
        yield "$name, costs ".Kept::figure($quote->least()).' to '.Kept::figure($quote->most()).', in the middle '.Kept::figure($quote->middle()).'; '.Facts::of(\array_slice($quote->faults, 0, 3));
        yield "$name, to look back at ".Facts::of((new LookBack($vocabulary, $line, FaultModel::shipped()))->left($case)).'; not proved '.Facts::of((new Unproved(FaultModel::shipped()))->left($case, $assessment));
    }

    /** What stands before any search: pins, and what must have ended by then. */
    private static function begun(Problem $problem): Builder
    {
        $instance = new Instance($problem);
        $base = Pins::settle($instance);
        $base->build($instance->beforePins());

        return $base;
    }

    private static function stepByStep(JobOrderSearch|Reinsertion $search, Incumbent $found, int $rounds, int $moves): string
    {
        return implode(', ', array_map(static function () use ($search, $found, $moves): string {
            $search->run($moves);

            return self::foundSoFar($found);
        }, range(1, $rounds)));
    }

    private static function foundSoFar(Incumbent $found, string $left = ' left '): string
    {
        return implode(' ', $found->rank).$left.Facts::of((new \ReflectionProperty(Steps::class, 'left'))->getValue($found->steps));
    }

    private static function inShort(Plan $plan): string
    {
        return "{$plan->value()} of {$plan->lowerBound} ".hash('crc32b', self::plan('', $plan));
    }

    private static function longer(Problem $problem, string $id, int $more): Problem
    {
        return $problem->changed(operations: array_map(static fn (Operation $one): Operation => $one->id !== $id ? $one : new Operation($one->id, $one->job, $one->minutes + $more, $one->uses, $one->oneOf, $one->after, $one->atMostAfter, $one->pinned, $one->splits, $one->batchKey), $problem->asWritten()));
    }
}
