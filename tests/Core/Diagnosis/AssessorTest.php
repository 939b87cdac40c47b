<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\Contradiction;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AssessorTest extends TestCase
{
    private const GATES = ['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.air_filter' => 'dusty', 'feel.pull' => 'normal'];

    public function testTheModelIsCompleteAgainstTheVocabulary(): void
    {
        $vocabulary = Vocabulary::shipped();
        /** @var array{sound: array<string, array<string, float>>, faults: array<string, array{prior: float, shows: array<string, array<string, float>>}>, claims: array<string, array<string, mixed>>} $data */
        $data = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Diagnosis/data/model.json'), true, 16, \JSON_THROW_ON_ERROR);
        self::assertEqualsCanonicalizing(array_keys($vocabulary->faults), array_keys($data['faults']));
        $numbers = ['claim.idle_months', 'jar.ethanol_percent', 'claim.fuel_kind', 'claim.layup'];
        self::assertEqualsCanonicalizing(array_diff(array_keys($vocabulary->tests), $numbers), array_keys($data['sound']), 'what makes a machine likelier to have a fault is no test of it');
        foreach ($data['sound'] as $test => $shares) {
            self::assertEqualsCanonicalizing($vocabulary->test($test)->outcomes, array_keys($shares), $test);
            self::assertEqualsWithDelta(1.0, array_sum($shares), 1e-9, $test);
            self::assertSame($shares, array_filter($shares, static fn (float|int $share): bool => $share > 0), "$test: every outcome must be possible");
        }
        foreach ($data['faults'] as $fault => $known) {
            self::assertTrue($known['prior'] > 0.0 && $known['prior'] < 1.0, $fault);
            self::assertNotSame([], $known['shows'], "$fault shows nowhere");
            foreach ($known['shows'] as $test => $shares) {
                self::assertSame([], array_diff(array_keys($shares), $vocabulary->test($test)->outcomes ?? []), "$fault, $test");
                self::assertLessThanOrEqual(1.0, array_sum($shares), "$fault, $test");
            }
        }
        foreach ($data['claims'] as $claim => $rules) {
            self::assertSame([], array_diff(array_keys($rules), $vocabulary->test($claim)->outcomes ?? []), $claim);
        }
    }

    public function testEveryFaultCanReachTheFirstPlace(): void
    {
        /** @var array{sound: array<string, array<string, float>>, faults: array<string, array{cycle?: string, kinds?: array<string, float>, shows: array<string, array<string, float>>}>} $data */
        $data = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Diagnosis/data/model.json'), true, 16, \JSON_THROW_ON_ERROR);
        foreach ($data['faults'] as $fault => $known) {
            $kinds = $known['kinds'] ?? [];
            arsort($kinds);
            $kind = [] !== $kinds && reset($kinds) > 1 ? array_key_first($kinds) : 'mower';
            $findings = [];
            foreach ($known['shows'] as $test => $shares) {
                arsort($shares);
                if (reset($shares) >= 0.5) {
                    $findings[$test] = (string) array_key_first($shares);
                }
            }
            // Some show plainly in one place only; then that one place it is.
            $findings = [] !== $findings ? $findings : array_map(static fn (array $shares): string => (string) array_key_first($shares), \array_slice($known['shows'], 0, 3));
            // A rival that explains as much is cleared by its own plainest test, as anybody would.
            for ($round = 0; $round < 8; ++$round) {
                $rival = self::assess($findings, $kind)->faults[0]->fault;
                if ($rival === $fault) {
                    break;
                }
                foreach (array_keys($data['faults'][$rival]['shows']) as $plainest) {
                    if (!isset($findings[$plainest])) {
                        $findings[$plainest] = (string) array_key_first($data['sound'][$plainest]);
                        break;
                    }
                }
            }
            self::assertSame($fault, self::assess($findings, $kind)->faults[0]->fault, json_encode($findings, \JSON_THROW_ON_ERROR));
        }
    }

    /** @return iterable<string, array{array<string, string|int>, string, string}> findings, likeliest fault, kind */
    public static function courses(): iterable
    {
        $gates = self::GATES;
        yield 'locked, and gas flies out' => [['claim.idle_months' => 26, 'look.oil_level' => 'far_over', 'look.oil_smell' => 'gas', 'feel.pull' => 'locked', 'pull.plug_out' => 'free', 'pull.ejecta' => 'gas'], 'cylinder.hydrolock_gas', 'mower'];
        yield 'locked, oil in filter and carburetor' => [['claim.tipped' => 'no', 'look.oil_level' => 'at_mark', 'look.air_filter' => 'oil_soaked', 'look.carb_outside' => 'oil_running', 'feel.pull' => 'locked', 'pull.plug_out' => 'free', 'pull.ejecta' => 'oil'], 'history.tipped', 'mower'];
        yield 'locked with the plug out, frozen pump' => [['look.oil_level' => 'at_mark', 'feel.pull' => 'locked', 'pull.plug_out' => 'locked', 'pump.state' => 'frozen_or_cracked'], 'pump.frozen', 'pressure_washer'];
        yield 'locked with the plug out, nothing jammed' => [['look.oil_level' => 'below_mark', 'feel.pull' => 'locked', 'pull.plug_out' => 'locked', 'look.belt_area' => 'clear', 'look.blade' => 'true', 'claim.last_behaviour' => 'sudden_bang'], 'engine.seized', 'mower'];
        yield 'kill wire grounded' => [$gates + ['start.plain' => 'nothing', 'start.bypass' => 'nothing', 'spark.tester' => 'none', 'spark.kill_wire_off' => 'strong', 'spark.stop_switch' => 'closed_in_run'], 'spark.kill_grounded', 'mower'];
        yield 'dead coil with plausible ohms' => [$gates + ['start.plain' => 'nothing', 'spark.tester' => 'none', 'spark.kill_wire_off' => 'none', 'spark.known_good_plug' => 'no_change', 'spark.coil_ohms' => 'like_known_good'], 'spark.coil_dead', 'mower'];
        yield 'thin first bypass spray' => [$gates + ['start.plain' => 'fires_dies', 'start.bypass' => 'nothing', 'start.bypass_repeat' => 'runs_while_fed', 'spark.tester' => 'strong', 'flow.line' => 'pours', 'bowl.inside' => 'film', 'jet.main' => 'blocked'], 'carb.main_jet_blocked', 'mower'];
        yield 'sheared key' => [array_replace($gates, ['feel.pull' => 'kicks_back', 'look.blade' => 'gouged_or_bent', 'spark.tester' => 'strong', 'claim.struck_something' => 'yes']), 'timing.key_sheared', 'mower'];
        yield 'vent' => [$gates + ['flow.line' => 'pours_then_fades', 'flow.cap_open' => 'recovers'], 'tank.vent_blocked', 'mower'];
        yield 'air leak with all jets clear' => [$gates + ['run.steady' => 'surges_no_load', 'run.minutes_later' => 'starts_surging', 'jet.main' => 'clear', 'jet.pilot' => 'clear', 'jet.emulsion' => 'clear', 'passages.spray' => 'all_exit', 'jar.smell' => 'fresh', 'bowl.inside' => 'clean'], 'intake.air_leak', 'mower'];
        yield 'swollen seat floods' => [$gates + ['needle.pressure' => 'leaks', 'look.seat' => 'swollen', 'leak.static' => 'overflow', 'float.check' => 'sound'], 'carb.needle_leaks', 'mower'];
        yield 'plausible-looking fuel with water beneath' => [$gates + ['jar.smell' => 'fresh', 'jar.tank' => 'two_layers', 'jar.lower_layer_after_water' => 'grew_by_dose', 'start.plain' => 'nothing'], 'fuel.water', 'snowblower'];
        yield 'phase separation' => [$gates + ['claim.fuel_kind' => 'e10', 'claim.idle_months' => 30, 'jar.tank' => 'two_layers', 'jar.lower_layer_after_water' => 'grew_by_more'], 'fuel.separated', 'snowblower'];
        yield 'stale gas in an old tank' => [$gates + ['jar.smell' => 'varnish', 'jar.tank' => 'dark_or_sediment', 'claim.tank_fuel_age' => 'old', 'look.tank' => 'clean'], 'fuel.stale', 'generator'];
        yield 'will not idle' => [$gates + ['run.idle' => 'dies', 'run.steady' => 'surges_no_load', 'run.load' => 'holds', 'intake.gasket' => 'sound', 'jet.pilot' => 'blocked'], 'carb.pilot_blocked', 'generator'];
        yield 'stuck needle' => [$gates + ['flow.line' => 'pours', 'flow.bowl_drain' => 'nothing', 'look.plug' => 'dry', 'needle.move' => 'stuck_shut'], 'carb.needle_stuck_shut', 'snowblower'];
        yield 'hard diaphragm' => [['start.plain' => 'fires_dies', 'primer.press' => 'fills', 'diaphragm.feel' => 'hard', 'spark.tester' => 'strong'], 'carb.diaphragm_hard', 'two_stroke_hand_tool'];
        yield 'stuck valve' => [$gates + ['compression.gauge' => 'none', 'valve.lash' => 'stuck_valve', 'start.plain' => 'nothing'], 'valve.lash_or_stuck', 'generator'];
        yield 'worn out' => [$gates + ['compression.gauge' => 'low', 'compression.leakdown' => 'poor', 'valve.lash' => 'in_range', 'look.plug' => 'oily', 'run.smoke' => 'persists'], 'cylinder.worn', 'mower'];
        yield 'overfilled at the last change' => [['look.oil_level' => 'far_over', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal'], 'oil.overfilled', 'mower'];
    }

    /** @param array<string, string|int> $findings */
    #[DataProvider('courses')]
    public function testUsualCoursesOfTheTrade(array $findings, string $fault, string $kind): void
    {
        $faults = self::assess($findings, $kind)->faults;
        // One that brings another shares the first place with it.
        self::assertTrue($fault === $faults[0]->fault || ($fault === $faults[1]->fault && $faults[1]->probability > 0.95), $faults[0]->fault.', '.$faults[1]->fault);
    }

    public function testTwoFaultsAtOnceAreBothSeen(): void
    {
        $probability = array_column(self::assess(self::GATES + ['start.plain' => 'nothing', 'spark.tester' => 'none', 'spark.kill_wire_off' => 'none', 'spark.coil_swap' => 'spark_now', 'bowl.inside' => 'jelly', 'jet.main' => 'blocked'], 'mower')->faults, 'probability', 'fault');
        self::assertGreaterThan(0.8, $probability['spark.coil_dead']);
        self::assertGreaterThan(0.8, $probability['carb.main_jet_blocked']);
    }

    public function testAClaimIsNoLongerBelievedAgainstTheEvidence(): void
    {
        $assessment = self::assess(['claim.tipped' => 'no', 'look.air_filter' => 'oil_soaked', 'look.carb_outside' => 'oil_running'], 'mower');
        self::assertSame(['claim.tipped'], array_map(static fn (Contradiction $one): string => $one->claim, $assessment->contradictions));
        self::assertLessThan(0.2, $assessment->contradictions[0]->probability);
        self::assertSame(['look.air_filter', 'look.carb_outside'], $assessment->contradictions[0]->against);
        self::assertSame([], self::assess(['claim.tipped' => 'no', 'look.air_filter' => 'clean'], 'mower')->contradictions);
        self::assertSame(['claim.fuel_kind'], array_map(static fn (Contradiction $one): string => $one->claim, self::assess(['claim.fuel_kind' => 'ethanol_free', 'jar.ethanol_percent' => 10], 'mower')->contradictions));
    }

    public function testACureEndsWhatWasSeenBeforeIt(): void
    {
        $before = self::assess(self::GATES + ['spark.tester' => 'none', 'spark.kill_wire_off' => 'strong', 'spark.stop_switch' => 'closed_in_run'], 'mower');
        $after = self::assess(self::GATES + ['spark.tester' => 'none', 'spark.kill_wire_off' => 'strong', 'spark.stop_switch' => 'closed_in_run'], 'mower', new PutRight('spark.kill_grounded'));
        self::assertSame('spark.kill_grounded', $before->faults[0]->fault);
        self::assertLessThan(0.1, array_column($after->faults, 'probability', 'fault')['spark.kill_grounded']);
        self::assertContains('spark.tester', array_map(static fn (NextTest $next): string => $next->test, $after->next), 'the test is worth making again');
    }

    public function testNothingIsEverSuggestedPastItsGate(): void
    {
        $vocabulary = Vocabulary::shipped();
        $random = new Seeded(99);
        $tests = array_values(array_filter($vocabulary->tests, static fn ($test): bool => !$test->takesNumber()));
        $turning = '/^(start|spark|run|compression)\./';
        $suggested = 0;
        for ($case = 0; $case < 400; ++$case) {
            $findings = [];
            for ($draw = $random->int(0, 18); $draw > 0; --$draw) {
                $test = $random->one($tests);
                $findings[$test->id] = $random->one($test->outcomes ?? ['']);
            }
            $kind = $random->one(MachineKind::cases());
            $assessment = self::assess($findings, $kind->value);
            foreach ($assessment->next as $next) {
                ++$suggested;
                self::assertArrayNotHasKey($next->test, $assessment->blocked);
                self::assertFalse(str_starts_with($next->test, 'claim.'));
                $isTurned = 1 === preg_match('/^(start|run)\./', $next->test);
                self::assertFalse($isTurned && [] !== array_diff(['look.air_filter', 'feel.pull'], array_keys($findings)) && 'start.electric' !== $next->test, $next->test.' before anybody looked into the air filter and felt the pull');
                $gasInside = \in_array($findings['look.oil_smell'] ?? '', ['gas'], true) || \in_array($findings['pull.ejecta'] ?? '', ['gas', 'mixture'], true);
                self::assertFalse($gasInside && 'two_stroke' !== (new MachineFacts($kind))->cycle->value && 1 === preg_match($turning, $next->test), $next->test.' with gas in oil or cylinder');
            }
        }
        self::assertGreaterThan(2000, $suggested);
    }

    public function testEveryTestChangesSomething(): void
    {
        $before = array_column(self::assess([], 'mower')->faults, 'probability', 'fault');
        $silent = [];
        foreach (FaultModel::shipped()->tests as $test => $model) {
            $moved = 0.0;
            foreach ($model->outcomes as $outcome) {
                $after = array_column(self::assess([$test => $outcome], 'mower')->faults, 'probability', 'fault');
                foreach ($before as $fault => $probability) {
                    $moved = max($moved, abs($after[$fault] - $probability));
                }
            }
            if ($moved < 1e-6) {
                $silent[] = $test;
            }
        }
        // These three open gates and tell nothing of faults.
        self::assertEqualsCanonicalizing(['look.oil_colour', 'gate.water_supply', 'prep.cylinder_oiled'], $silent);
    }

    /** @param array<string, string|int> $findings */
    private static function assess(array $findings, string $kind, PutRight ...$cures): Assessment
    {
        $vocabulary = Vocabulary::shipped();
        $events = [];
        foreach ($findings as $test => $outcome) {
            $events[] = \is_int($outcome) ? Finding::number($test, $outcome) : Finding::observed($test, $outcome);
        }

        return (new Assessor(FaultModel::shipped(), $vocabulary, new Gatekeeper($vocabulary)))->assess(new CaseFile(new MachineFacts(MachineKind::from($kind)), [...$events, ...array_values($cures)]));
    }
}
