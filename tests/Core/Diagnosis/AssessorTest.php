<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\Contradiction;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Diagnosis\Reason;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

final class AssessorTest extends TestCase
{
    /** What nobody knows is no finding. */
    private const SAYS_NOTHING = ['claim.last_behaviour' => ['unknown'], 'claim.tank_fuel_age' => ['unknown']];

    public function testTheModelIsCompleteAgainstTheVocabulary(): void
    {
        $vocabulary = Vocabulary::shipped();
        /** @var array{sound: array<string, array<string, float>>, faults: array<string, array{prior: float, brings?: array<string, float>, shows?: array<string, array<string, float>>}>, claims: array<string, array<string, mixed>>, sights: array<string, array<string, string>>, sides: array<string, list<string>>, beside: list<string>} $data */
        $data = self::model();
        $named = array_filter(array_keys($data['faults']), static fn (string $fault): bool => !FaultModel::isHidden($fault));
        self::assertEqualsCanonicalizing(array_keys($vocabulary->faults), $named);
        $numbers = ['claim.idle_months', 'jar.ethanol_percent', 'claim.fuel_kind', 'claim.layup'];
        self::assertEqualsCanonicalizing(array_diff(array_keys($vocabulary->tests), $numbers), array_keys($data['sound']), 'what makes a machine likelier to have a fault is no test of it');
        foreach ($data['sound'] as $test => $shares) {
            self::assertEqualsCanonicalizing(array_diff($vocabulary->test($test)->outcomes ?? [], self::SAYS_NOTHING[$test] ?? []), array_keys($shares), $test);
            self::assertEqualsWithDelta(1.0, array_sum($shares), 1e-9, $test);
            self::assertSame($shares, array_filter($shares, static fn (float|int $share): bool => $share > 0), "$test: every outcome must be possible");
        }
        foreach ($data['faults'] as $fault => $known) {
            self::assertTrue($known['prior'] > 0.0 && $known['prior'] < 1.0, $fault);
            self::assertSame(FaultModel::isHidden($fault), [] === ($known['shows'] ?? []), "$fault shows nowhere");
            self::assertSame([], array_diff(array_keys($known['brings'] ?? []), $named), $fault);
            foreach ($known['shows'] ?? [] as $test => $shares) {
                self::assertSame([], array_diff(array_keys($shares), $vocabulary->test($test)->outcomes ?? []), "$fault, $test");
                self::assertLessThanOrEqual(1.0, array_sum($shares), "$fault, $test");
            }
        }
        foreach ($data['sights'] as $test => $sights) {
            foreach ($sights as $outcome => $fault) {
                self::assertTrue(isset($data['faults'][$fault]['shows'][$test][$outcome]), "$test, $outcome is a sight of $fault, which does not show it");
                foreach ($data['faults'] as $other => $known) {
                    self::assertFalse($other !== $fault && isset($known['shows'][$test][$outcome]), "$test, $outcome is $fault itself and cannot be $other");
                }
            }
        }
        self::assertSame([], array_diff([...array_merge(...array_values($data['sides'])), ...$data['beside']], $named));
        foreach ($data['claims'] as $claim => $rules) {
            self::assertSame([], array_diff(array_keys($rules), $vocabulary->test($claim)->outcomes ?? []), $claim);
        }
    }

    public function testEveryFaultCanReachTheFirstPlace(): void
    {
        /** @var array{sound: array<string, array<string, float>>, faults: array<string, array{cycle?: string, only_kinds?: non-empty-list<string>, only_feed?: string, kinds?: array<string, float>, shows: array<string, array<string, float>>}>} $data */
        $data = self::model();
        foreach ($data['faults'] as $fault => $known) {
            if (FaultModel::isHidden($fault)) {
                continue;
            }
            $kinds = $known['kinds'] ?? [];
            arsort($kinds);
            $kind = match (true) {
                isset($known['only_kinds']) => $known['only_kinds'][0],
                isset($known['only_feed']) => 'ride_on_mower',
                'two_stroke' === ($known['cycle'] ?? '') => 'two_stroke_hand_tool',
                default => [] !== $kinds && reset($kinds) > 1 ? array_key_first($kinds) : 'mower',
            };
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
                $rival = Assessing::of($findings, $kind)->faults[0]->fault;
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
            self::assertSame($fault, Assessing::of($findings, $kind)->faults[0]->fault, json_encode($findings, \JSON_THROW_ON_ERROR));
        }
    }

    public function testTwoFaultsAtOnceAreBothSeen(): void
    {
        $probability = array_column(Assessing::of(Assessing::GATES + ['start.plain' => 'nothing', 'spark.tester' => 'none', 'spark.kill_wire_off' => 'none', 'spark.coil_swap' => 'spark_now', 'bowl.inside' => 'jelly', 'jet.main' => 'blocked'], 'mower')->faults, 'probability', 'fault');
        self::assertGreaterThan(0.8, $probability['spark.coil_dead']);
        self::assertGreaterThan(0.8, $probability['carb.main_jet_blocked']);
    }

    /** A dry plug that nobody has tried to start says what a new one says; the worse of two cylinders speaks for both. */
    public function testAReasonNamesWhatWasFoundWhateverItCountsAs(): void
    {
        $named = static function (Assessment $assessment, string ...$tests): array {
            $reasons = array_merge(...array_map(static fn (Suspect $one): array => $one->because, $assessment->faults));

            return array_values(array_unique(array_map(static fn (Reason $one): string => $one->test.' '.$one->outcome, array_filter($reasons, static fn (Reason $one): bool => \in_array($one->test, $tests, true)))));
        };
        self::assertSame(['look.plug dry'], $named(Assessing::of(['look.plug' => 'dry'], 'mower'), 'look.plug'));
        self::assertSame(['look.plug oily'], $named(Assessing::of(['look.plug' => 'oily'], 'mower'), 'look.plug'));
        $twin = new MachineFacts(MachineKind::RideOnMower, cylinders: 2);
        foreach ([['strong', 'none', 'spark.other_cylinder none'], ['none', 'strong', 'spark.tester none']] as [$one, $other, $reason]) {
            $case = new CaseFile($twin, [Finding::observed('spark.tester', $one), Finding::observed('spark.other_cylinder', $other)]);
            $reasons = $named(Assessing::assessor()->assess($case), 'spark.tester', 'spark.other_cylinder');
            self::assertContains($reason, $reasons);
            self::assertSame([], array_diff($reasons, ["spark.tester $one", "spark.other_cylinder $other"]));
        }
    }

    public function testAClaimIsNoLongerBelievedAgainstTheEvidence(): void
    {
        $assessment = Assessing::of(['claim.tipped' => 'no', 'look.air_filter' => 'oil_soaked', 'look.carb_outside' => 'oil_running'], 'mower');
        self::assertSame(['claim.tipped'], array_map(static fn (Contradiction $one): string => $one->claim, $assessment->contradictions));
        self::assertLessThan(0.2, $assessment->contradictions[0]->probability);
        self::assertSame(['oil_soaked', 'oil_running'], array_map(static fn (Finding $found): string => $found->outcomes[0], array_values($assessment->contradictions[0]->against)));
        self::assertSame([], Assessing::of(['claim.tipped' => 'no', 'look.air_filter' => 'clean'], 'mower')->contradictions);
        self::assertSame(['claim.fuel_kind'], array_map(static fn (Contradiction $one): string => $one->claim, Assessing::of(['claim.fuel_kind' => 'ethanol_free', 'jar.ethanol_percent' => 10], 'mower')->contradictions));
    }

    public function testACureEndsWhatWasSeenBeforeIt(): void
    {
        $before = Assessing::of(Assessing::GATES + ['spark.tester' => 'none', 'spark.kill_wire_off' => 'strong', 'spark.stop_switch' => 'closed_in_run'], 'mower');
        $after = Assessing::of(Assessing::GATES + ['spark.tester' => 'none', 'spark.kill_wire_off' => 'strong', 'spark.stop_switch' => 'closed_in_run'], 'mower', new PutRight('spark.kill_grounded'));
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
        for ($case = 0; $case < 1500; ++$case) {
            $findings = [];
            for ($draw = $random->int(0, 18); $draw > 0; --$draw) {
                $test = $random->one($tests);
                $findings[$test->id] = $random->one($test->outcomes ?? ['']);
            }
            $kind = $random->one(MachineKind::cases());
            $assessment = Assessing::of($findings, $kind->value);
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
        self::assertGreaterThan(10_000, $suggested);
    }

    /** A line of a card has room for four names. */
    public function testWhatAnAnswerWouldChangeIsNamedTheLargestFirst(): void
    {
        $vocabulary = Vocabulary::shipped();
        $assessor = new Assessor(FaultModel::shipped(), $vocabulary, new Gatekeeper($vocabulary, Closures::shipped()));
        $named = [];
        foreach (['start.plain', 'bowl.inside', 'jar.tank', 'spark.tester'] as $test) {
            foreach ($assessor->prospects(new CaseFile(new MachineFacts(MachineKind::Mower)), $test) as $preview) {
                $shifts = array_map(static fn (array $one): float => abs($one['after'] - $one['before']), array_values($preview->shifts));
                $sorted = $shifts;
                rsort($sorted);
                self::assertSame($sorted, $shifts);
                self::assertGreaterThanOrEqual(0.02, min([1.0, ...$shifts]));
                $named[] = \count($shifts);
            }
        }
        self::assertSame(4, max([0, ...$named]));
    }

    public function testEveryTestChangesSomething(): void
    {
        $silent = array_keys(FaultModel::shipped()->tests);
        foreach (['mower', 'generator', 'pressure_washer', 'ride_on_mower', 'two_stroke_hand_tool'] as $kind) {
            $before = array_column(Assessing::of([], $kind)->faults, 'probability', 'fault');
            foreach ($silent as $place => $test) {
                $moved = 0.0;
                foreach (FaultModel::shipped()->tests[$test]->outcomes as $outcome) {
                    $after = array_column(Assessing::of([$test => $outcome], $kind)->faults, 'probability', 'fault');
                    foreach ($before as $fault => $probability) {
                        $moved = max($moved, abs($after[$fault] - $probability));
                    }
                }
                if ($moved >= 1e-6) {
                    unset($silent[$place]);
                }
            }
        }
        // These two open gates and tell nothing of faults.
        self::assertEqualsCanonicalizing(['gate.water_supply', 'prep.cylinder_oiled'], $silent);
    }

    /** @return array<string, mixed> */
    private static function model(): array
    {
        /** @var array<string, mixed> $data */
        $data = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Diagnosis/data/model.json'), true, 16, \JSON_THROW_ON_ERROR);

        return $data;
    }
}
