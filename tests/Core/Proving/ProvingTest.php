<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Proving;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Progress\ProofRun;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Proving\ChokeStep;
use AwakeShed\Core\Proving\ExpectedSmoke;
use AwakeShed\Core\Proving\FirstRun;
use AwakeShed\Core\Proving\HouseStandard;
use AwakeShed\Core\Proving\SpeedLimit;
use AwakeShed\Core\Proving\SurgeVerdict;
use AwakeShed\Core\Proving\SurgeWatch;
use AwakeShed\Core\Proving\Watch;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Tests\Core\Diagnosis\Assessing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The first run and the proof: what is in it, how it started, what a surge comes to. */
final class ProvingTest extends TestCase
{
    /** Common practice: smoke that stays longer is something else. */
    public function testSmokeIsGivenItsMinutes(): void
    {
        self::assertEquals(['GasInOil' => 15, 'OilInIntake' => 15, 'CylinderOil' => 10, 'TwoStroke' => 5, 'OnMuffler' => 5], array_map(static fn (ExpectedSmoke $one): int => $one->minutes(), array_column(ExpectedSmoke::cases(), null, 'name')));
    }

    public function testAnAttemptIsAFindingWithItsFiguresAndComesBackFromIt(): void
    {
        $finding = (new Attempt(['pulls' => 3.0, 'air_c' => -4.0], ChokeStep::Full, 'fires_dies'))->finding();
        self::assertSame(['pulls' => 3.0, 'air_c' => -4.0, 'choke' => 'full'], $finding->measured);
        self::assertSame(['fires_dies'], $finding->outcomes);
        $again = Attempt::fromFinding($finding);
        self::assertNotNull($again);
        self::assertSame([3.0, ChokeStep::Full, false], [$again->figures['pulls'] ?? null, $again->choke, $again->caught()]);
        self::assertNull(Attempt::fromFinding(Finding::observed('start.plain', 'runs')), 'a start of which nothing was counted is a finding only');
        self::assertNull(Attempt::fromFinding(Finding::observed('run.load', 'holds')->measuring(['pulls' => 2])));
    }

    public function testWhatCannotBeIsRefusedAndPassedOverInAFile(): void
    {
        $from = Attempt::fromFinding(Finding::observed('start.plain', 'runs')->measuring(['pulls' => 400, 'primes' => 3]));
        self::assertSame(['primes' => 3.0], $from?->figures);
        $ends = Attempt::fromFinding(Finding::observed('start.plain', 'runs')->measuring(['pulls' => 60, 'primes' => 0, 'air_c' => -40, 'choke_off_s' => 901]));
        self::assertSame(['pulls' => 60.0, 'primes' => 0.0, 'air_c' => -40.0], $ends?->figures, 'to the ends');
        $this->expectException(ImpossibleAmount::class);
        new Attempt(['pulls' => 61.0]);
    }

    /** @return iterable<string, array{array<string, string>, SurgeVerdict}> */
    public static function surges(): iterable
    {
        yield 'nothing heard' => [[], SurgeVerdict::NotYet];
        yield 'three minutes are not warm' => [['prove.after_1' => 'surges', 'prove.after_3' => 'steady'], SurgeVerdict::NotYet];
        yield 'steady throughout' => [['prove.after_1' => 'steady', 'prove.after_3' => 'steady', 'prove.after_5' => 'steady'], SurgeVerdict::Steady];
        yield 'cold, and it settles' => [['prove.after_1' => 'surges', 'prove.after_3' => 'surges', 'prove.after_5' => 'steady'], SurgeVerdict::Settles];
        yield 'warm, choke not tried' => [['prove.after_1' => 'surges', 'prove.after_5' => 'surges'], SurgeVerdict::TryChoke];
        yield 'warm, choke smooths it' => [['prove.after_5' => 'surges', 'prove.choke_helps' => 'smooths'], SurgeVerdict::Lean];
        yield 'warm, choke does nothing' => [['prove.after_5' => 'surges', 'prove.choke_helps' => 'no_change'], SurgeVerdict::NotByFuel];
        yield 'warm, choke makes it worse' => [['prove.after_5' => 'surges', 'prove.choke_helps' => 'worse'], SurgeVerdict::NotByFuel];
    }

    /** @param array<string, string> $readings */
    #[DataProvider('surges')]
    public function testASurgeIsJudgedByWhatItDoesWarm(array $readings, SurgeVerdict $verdict): void
    {
        $acts = [new Act('prove.warm_up')];
        foreach ($readings as $step => $choice) {
            $acts[] = new Act($step, choice: $choice);
        }
        self::assertSame($verdict, SurgeWatch::of($acts)->verdict());
    }

    public function testANewWarmUpBeginsAnew(): void
    {
        $acts = [new Act('prove.after_5', choice: 'surges'), new Act('prove.choke_helps', choice: 'smooths'), new Act('prove.warm_up'), new Act('prove.after_1', choice: 'steady')];
        self::assertSame(SurgeVerdict::NotYet, SurgeWatch::of($acts)->verdict());
        self::assertSame(['after_1_min' => 'steady'], SurgeWatch::of($acts)->measured());
    }

    public function testOnlyAColdStartWithinThePullsMeetsTheStandard(): void
    {
        $standard = HouseStandard::followed(['cold_start' => 'pulls_2_hours_8']);
        self::assertNotNull($standard);
        $met = static fn (float $pulls, float $hours, string $outcome = 'runs'): bool => $standard->isMetBy(new Attempt(['pulls' => $pulls, 'stood_h' => $hours], null, $outcome));
        self::assertTrue($met(2, 8));
        self::assertFalse($met(3, 9));
        self::assertFalse($met(1, 7.9));
        self::assertFalse($met(1, 12, 'runs_rough'));
        self::assertFalse($standard->isMetBy(new Attempt(['pulls' => 1.0])), 'nobody knows how long it stood');
        self::assertTrue($standard->isMetBy(new Attempt(['stood_h' => 10.0])), 'an electric start has no pulls');
        self::assertNull(HouseStandard::followed(['cold_start' => 'not_asked']));
    }

    public function testTheProofIsNotWholeBeforeItStartedColdWhereTheShopWantsIt(): void
    {
        $proved = [
            (new Attempt(['pulls' => 1.0]))->finding(), Finding::observed('run.steady', 'surges_cold_then_settles'), Finding::observed('run.choke_off', 'steady'),
            Finding::observed('run.load', 'holds'), Finding::observed('run.minutes_later', 'keeps_running'),
        ];
        $case = new CaseFile(new MachineFacts(MachineKind::Mower), $proved);
        self::assertSame([], ProofRun::left($case), 'a cold surge that settles is proof enough');
        $asked = new CaseFile(new MachineFacts(MachineKind::Mower), $proved, ['cold_start' => 'pulls_2_hours_8']);
        self::assertSame(['start.plain'], ProofRun::left($asked));
        self::assertSame([], ProofRun::failed($asked), 'it is left, not failed');
        $slow = $asked->with((new Attempt(['pulls' => 5.0, 'stood_h' => 11.0]))->finding());
        self::assertSame(['start.plain'], ProofRun::left($slow));
        self::assertSame(5.0, ProofRun::coldStart($slow)?->last?->figures['pulls'] ?? null);
        self::assertSame([], ProofRun::left($slow->with((new Attempt(['pulls' => 1.0, 'stood_h' => 11.0]))->finding())));
        self::assertSame(['run.load'], ProofRun::failed(new CaseFile(new MachineFacts(MachineKind::Mower), [...$proved, Finding::observed('run.load', 'sags')])));
    }

    public function testWhatIsInItIsReadFromTheState(): void
    {
        $vocabulary = Vocabulary::shipped();
        $in = static function (CaseFile $case): array {
            $said = [];
            foreach (FirstRun::isIn($case) as $one) {
                $said[$one->thing] = [$one->isReady, $one->state, $one->until];
            }

            return $said;
        };
        $mower = new CaseFile(new MachineFacts(MachineKind::Mower));
        self::assertSame([null, 'unknown', ['jar.tank']], $in($mower)['tank']);
        self::assertSame([null, 'unknown', ['look.oil_level']], $in($mower)['crankcase']);
        self::assertSame([true, 'in', []], $in($mower)['plug']);
        self::assertArrayNotHasKey('water', $in($mower));
        $act = static fn (string $id): Done => new Done($vocabulary->act($id), []);
        $apart = $mower->with($act('crankcase.drained'))->with($act('plug.out'))->with($act('bowl.off'))->with($act('covers.off'))->with($act('tank.drained'));
        self::assertSame([false, 'empty', ['crankcase.filled']], $in($apart)['crankcase']);
        self::assertSame([false, 'out', ['plug.in']], $in($apart)['plug']);
        self::assertSame([false, 'off', ['bowl.on']], $in($apart)['carburetor']);
        self::assertSame([false, 'off', ['covers.on']], $in($apart)['covers']);
        self::assertSame([false, 'empty', ['tank.filled']], $in($apart)['tank']);
        $together = $apart->with($act('crankcase.filled'))->with(Finding::observed('look.oil_level', 'at_mark'))->with($act('tank.filled'))->with($act('plug.in'));
        self::assertSame([true, 'fresh', []], $in($together)['crankcase']);
        self::assertSame([true, 'fresh', []], $in($together)['tank']);
        $washer = new CaseFile(new MachineFacts(MachineKind::PressureWasher));
        self::assertSame([false, 'not_connected', ['water.on']], $in($washer)['water']);
        self::assertTrue($in($washer->with($act('water.on')))['water'][0]);
        self::assertArrayNotHasKey('crankcase', $in(new CaseFile(new MachineFacts(MachineKind::TwoStrokeHandTool))), 'its oil is in its fuel');
    }

    public function testSmokeIsExpectedFromWhatWasPutOrFoundInIt(): void
    {
        self::assertSame([], ExpectedSmoke::of(new CaseFile(new MachineFacts(MachineKind::Generator))));
        $flushed = new CaseFile(new MachineFacts(MachineKind::Mower), [Finding::observed('prep.cylinder_oiled', 'done'), Finding::observed('look.oil_smell', 'gas')]);
        self::assertSame([ExpectedSmoke::CylinderOil, ExpectedSmoke::GasInOil], ExpectedSmoke::of($flushed));
        self::assertSame([ExpectedSmoke::TwoStroke], ExpectedSmoke::of(new CaseFile(new MachineFacts(MachineKind::TwoStrokeHandTool, Cycle::TwoStroke))));
    }

    /** The 19 000 ft/min of ANSI/OPEI B71.1 by hand: 21 in is 3456 rpm; 50 Hz of two poles is 3000 rpm, and 8 % more without load. */
    /** What its owner is told to watch, by what was found and done, one at a time. */
    public function testAnOwnerWatchesWhatWasFoundAndNothingElse(): void
    {
        self::assertSame([], self::watched(['look.oil_smell' => 'none', 'jar.tank' => 'clear_one_layer', 'claim.tipped' => 'no']));
        self::assertSame([], self::watched([], 'jet.before', 'prove.warm_up'));
        self::assertSame(['jet_opened'], self::watched([], 'prove.warm_up', 'jet.after'));
        /** @var array<string, list<array<string, string>>> $found */
        $found = [
            'shut_off' => [['look.oil_smell' => 'gas'], ['look.oil_smell' => 'residue_expected'], ['look.oil_body' => 'thin'], ['pull.ejecta' => 'gas'], ['needle.pressure' => 'leaks']],
            'upright' => [['claim.tipped' => 'yes'], ['look.air_filter' => 'oil_soaked'], ['pull.ejecta' => 'oil']],
            'fresh_fuel' => [['jar.tank' => 'hazy'], ['jar.tank' => 'two_layers'], ['jar.tank' => 'dark_or_sediment'], ['jar.smell' => 'stale'], ['jar.smell' => 'varnish']],
            'drips' => [['leak.static' => 'bowl'], ['leak.static' => 'inlet'], ['leak.static' => 'overflow'], ['leak.static' => 'line'], ['leak.static' => 'cap'], ['cap.seal' => 'leaks']],
            'longer_choke' => [['run.steady' => 'surges_cold_then_settles']],
        ];
        foreach ($found as $watch => $each) {
            foreach ($each as $finding) {
                self::assertSame([$watch], self::watched($finding), json_encode($finding, \JSON_THROW_ON_ERROR));
            }
        }
        self::assertSame(['shut_off', 'upright'], self::watched(['pull.ejecta' => 'mixture']));
        foreach (['crankcase.filled', 'crankcase.topped_up'] as $act) {
            self::assertSame([Watch::OilLevel], Watch::after(Assessing::case([], 'mower', new Done(Vocabulary::shipped()->act($act))), []));
        }
    }

    public function testTheLimitIsTheBladesOrTheAlternatorsBeforeTheMakers(): void
    {
        $rpm = static fn (SpeedLimit $limit): ?int => null === $limit->most ? null : (int) round($limit->most->in(SpeedUnit::Rpm));
        $mower = SpeedLimit::of(new MachineFacts(MachineKind::Mower, bladeMm: 533.4, governedRpm: 3100));
        self::assertSame(['blade', 3456], [$mower->by, $rpm($mower)]);
        $generator = SpeedLimit::of(new MachineFacts(MachineKind::Generator), 2, 50.0);
        self::assertSame(['frequency', 3240], [$generator->by, $rpm($generator)]);
        self::assertSame(3000, (int) round($generator->governed?->in(SpeedUnit::Rpm) ?? 0.0));
        $set = SpeedLimit::of(new MachineFacts(MachineKind::Generator, governedRpm: 3150), 2, 50.0);
        self::assertSame(['frequency', 3240, 3150], [$set->by, $rpm($set), (int) round($set->governed?->in(SpeedUnit::Rpm) ?? 0.0)], 'what the maker says of it stands');
        foreach ([[null, 50.0], [2, null], [null, null]] as [$poles, $hertz]) {
            self::assertSame('maker', SpeedLimit::of(new MachineFacts(MachineKind::Generator, governedRpm: 3150), $poles, $hertz)->by);
        }
        self::assertSame('unknown', SpeedLimit::of(new MachineFacts(MachineKind::Snowblower), 2, 50.0)->by, 'only a generator makes current');
        self::assertSame('unknown', SpeedLimit::of(new MachineFacts(MachineKind::Generator, bladeMm: 533.4))->by);
        self::assertSame('unknown', SpeedLimit::of(new MachineFacts(MachineKind::Mower))->by);
        self::assertSame('maker', SpeedLimit::of(new MachineFacts(MachineKind::Snowblower, governedRpm: 3600))->by);
        self::assertSame('unknown', SpeedLimit::of(new MachineFacts(MachineKind::Snowblower))->by);
    }

    /**
     * @param array<string, string> $findings
     *
     * @return list<string>
     */
    private static function watched(array $findings, string ...$acts): array
    {
        return array_column(Watch::after(Assessing::case($findings, 'mower'), array_map(static fn (string $act): Act => new Act($act), array_values($acts))), 'value');
    }
}
