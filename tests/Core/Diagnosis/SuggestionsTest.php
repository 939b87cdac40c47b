<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Progress\ProofRun;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SuggestionsTest extends TestCase
{
    /** @return iterable<string, array{array<string, string|int>, string, int}> findings, test of the trade, among the first so many */
    public static function courses(): iterable
    {
        $gates = Assessing::GATES;
        yield 'locked: pull with the plug out' => [['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.air_filter' => 'dusty', 'look.carb_outside' => 'dry', 'feel.pull' => 'locked'], 'pull.plug_out', 3];
        yield 'a thin first spray is repeated' => [$gates + ['start.plain' => 'nothing', 'start.bypass' => 'nothing'], 'start.bypass_repeat', 2];
        yield 'pours, then fades: open the cap' => [$gates + ['flow.line' => 'pours_then_fades'], 'flow.cap_open', 1];
        yield 'no spark: kill wire off' => [$gates + ['start.plain' => 'nothing', 'spark.tester' => 'none'], 'spark.kill_wire_off', 3];
        yield 'two layers: a dose of water' => [$gates + ['jar.tank' => 'two_layers'], 'jar.lower_layer_after_water', 1];
        yield 'bowl stays empty: move the needle' => [$gates + ['flow.line' => 'pours', 'flow.bowl_drain' => 'nothing', 'bowl.inside' => 'film'], 'needle.move', 1];
        yield 'surges, all jets clear: the gasket' => [$gates + ['run.steady' => 'surges_no_load', 'jet.pilot' => 'clear', 'jet.main' => 'clear', 'jet.emulsion' => 'clear', 'passages.spray' => 'all_exit'], 'intake.gasket', 4];
        yield 'low compression: the lash' => [$gates + ['start.plain' => 'nothing', 'compression.gauge' => 'low'], 'valve.lash', 3];
        yield 'locked with the plug out, a pump' => [['look.oil_level' => 'at_mark', 'feel.pull' => 'locked', 'pull.plug_out' => 'locked'], 'pump.state', 1];
        yield 'wet plug and no fire: smell the fuel' => [$gates + ['start.plain' => 'nothing', 'spark.tester' => 'strong', 'look.plug' => 'gas_wet', 'flow.line' => 'pours'], 'jar.smell', 2];
        yield 'fuel delivery after years: the jets' => [$gates + ['claim.idle_months' => 20, 'claim.layup' => 'fuel_left_in', 'start.plain' => 'fires_dies', 'start.bypass' => 'runs_while_fed'], 'jet.pilot', 4];
    }

    /** @param array<string, string|int> $findings */
    #[DataProvider('courses')]
    public function testSuggestsWhatTheTradeWould(array $findings, string $test, int $among): void
    {
        $next = array_column(Assessing::of($findings, 'pump.state' === $test ? 'pressure_washer' : 'mower')->next, 'test');
        self::assertContains($test, \array_slice($next, 0, $among), implode(', ', \array_slice($next, 0, 6)));
    }

    public function testALookIsWorthWhatItOpens(): void
    {
        $next = Assessing::of(['claim.idle_months' => 60, 'look.oil_level' => 'at_mark', 'look.air_filter' => 'clean'], 'mower')->next;
        $oiling = array_values(array_filter($next, static fn (NextTest $one): bool => 'prep.cylinder_oiled' === $one->test));
        self::assertCount(1, $oiling, 'it tells nothing itself and opens the pull');
        self::assertNotNull($oiling[0]->opens);
        self::assertGreaterThan(0.0, $oiling[0]->bits);
    }

    public function testRanksByInformationAMinute(): void
    {
        $next = Assessing::of(Assessing::GATES + ['start.plain' => 'nothing'], 'mower')->next;
        $rates = array_map(static fn (NextTest $one): float => $one->bits / $one->minutesHere, $next);
        $sorted = $rates;
        rsort($sorted);
        self::assertSame($sorted, $rates);
        self::assertGreaterThan(10, \count($next));
    }

    public function testTheProspectsOfATestAgreeWithWhatIsBelievedNow(): void
    {
        // The law of total probability: what each outcome would make of a fault, by how likely it is, is the belief of today.
        $case = Assessing::case(Assessing::GATES + ['start.plain' => 'nothing'], 'mower');
        $prospects = Assessing::assessor()->prospects($case, 'look.filter');
        self::assertSame(['clear', 'dirty'], array_column($prospects, 'outcome'));
        self::assertEqualsWithDelta(1.0, array_sum(array_column($prospects, 'chance')), 1e-9);
        $now = array_column(Assessing::assessor()->assess($case)->faults, 'probability', 'fault')['path.filter_blocked'];
        $expected = 0.0;
        foreach ($prospects as $prospect) {
            self::assertEqualsWithDelta($now, $prospect->shifts['path.filter_blocked']['before'], 1e-9);
            $expected += $prospect->chance * $prospect->shifts['path.filter_blocked']['after'];
        }
        self::assertEqualsWithDelta($now, $expected, 1e-6);
        self::assertSame([], Assessing::assessor()->prospects($case, 'jar.ethanol_percent'), 'a number tells nothing of faults by itself');
    }

    public function testTheCourseOfBeliefEndsWhereItIsNow(): void
    {
        $case = Assessing::case([], 'mower');
        $course = Assessing::assessor()->course($case, [[], [Finding::observed('spark.tester', 'none')], [Finding::observed('spark.kill_wire_off', 'strong'), Finding::observed('spark.stop_switch', 'closed_in_run')], [new PutRight('spark.kill_grounded')]]);
        self::assertLessThan($course[1]['spark.kill_grounded'], $course[0]['spark.kill_grounded']);
        self::assertLessThan($course[2]['spark.kill_grounded'], $course[1]['spark.kill_grounded']);
        self::assertLessThan(0.051, $course[3]['spark.kill_grounded']);
    }

    public function testEveryFaultIsProvable(): void
    {
        $model = FaultModel::shipped();
        foreach (array_keys(Vocabulary::shipped()->faults) as $fault) {
            $proofs = $model->proofs($fault, 3);
            self::assertNotSame([], $proofs, $fault);
            self::assertGreaterThan(0.1, $proofs[0]['share'], $fault);
        }
        self::assertSame(['needle.pressure', 'leaks'], \array_slice(array_values($model->proofs('carb.needle_leaks', 1)[0]), 0, 2));
    }

    public function testAMachineIsProvedByItsRunAndAgainAfterACure(): void
    {
        $good = ['start.plain' => 'runs', 'run.steady' => 'steady', 'run.choke_off' => 'steady', 'run.load' => 'holds', 'run.minutes_later' => 'keeps_running'];
        self::assertSame([], ProofRun::left(Assessing::case($good, 'mower')));
        self::assertSame(array_keys($good), ProofRun::left(Assessing::case([], 'mower')));
        self::assertSame(['run.load'], ProofRun::left(Assessing::case(['run.load' => 'sags'] + $good, 'mower')));
        self::assertSame(array_keys($good), ProofRun::left(Assessing::case($good, 'mower', new PutRight('carb.main_jet_blocked'))), 'what was put right since is proved anew');
    }
}
