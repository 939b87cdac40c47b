<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Progress;

use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateState;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Progress\WaitsOn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One machine walked from the door to "ready", and stopped on the way. */
final class JobProgressTest extends TestCase
{
    /** Four in five are enough to put it right, where it was looked at and hands can. */
    /** An owner's word is waited for at any time, light and cold only by what is to be run. */
    public function testWhatIsWaitedForHoldsUpWhatNeedsIt(): void
    {
        foreach (Progress::cases() as $stand) {
            $isRun = \in_array($stand, [Progress::BeforeFirstRun, Progress::Proving], true);
            self::assertSame([true, $isRun, $isRun], [WaitsOn::Owner->holdsUp($stand), WaitsOn::Daylight->holdsUp($stand), WaitsOn::Cold->holdsUp($stand)], $stand->value);
        }
    }

    public function testWhatIsSureIsPutRight(): void
    {
        $isSure = static fn (string $fault, float $probability, bool $isLookedAt = true): bool => (new Suspect($fault, $probability, 0.02, 0.02, [], $isLookedAt, false, true))->isSure();

        self::assertSame([true, false, false, false], [$isSure('carb.pilot_blocked', 0.8), $isSure('carb.pilot_blocked', 0.7999), $isSure('carb.pilot_blocked', 0.95, false), $isSure('history.tipped', 0.95)]);
    }

    public function testAMachineComesInAndIsWalkedToTheFuel(): void
    {
        $case = new CaseFile(new MachineFacts(MachineKind::Generator), [Finding::observed('claim.tipped', 'no')]);
        self::assertStands(Progress::TakenIn, 'look.oil_level', $case);
        $case = $case->with(Finding::observed('look.oil_level', 'at_mark'));
        self::assertStands(Progress::AtGates, 'look.oil_smell', $case);
        foreach (['look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.oil_colour' => 'dark', 'look.air_filter' => 'clean', 'look.controls' => 'free'] as $look => $outcome) {
            $case = $case->with(Finding::observed($look, $outcome));
        }
        self::assertStands(Progress::AtGates, 'feel.pull', $case);
        $case = $case->with(Finding::observed('feel.pull', 'normal'));
        self::assertStands(Progress::AtFuel, 'jar.tank', $case);
        $clear = $case->with(Finding::observed('jar.tank', 'clear_one_layer'));
        $sound = ['layers' => ['height_mm' => 100, 'total_ml' => 90, 'lower_ml' => 0], 'look' => ['clarity' => 'clear', 'smell' => 'fresh'], 'age' => ['months' => 2]];
        self::assertStands(Progress::BeforeFirstRun, 'start.plain', self::withJar($clear->with(Finding::observed('jar.smell', 'fresh')), $sound));
        self::assertStands(Progress::AtFuel, 'tank.drained', self::withJar($clear->with(Finding::observed('jar.smell', 'varnish')), ['look' => ['smell' => 'varnish']]));
        self::assertStands(Progress::AtFuel, 'tank.drained', self::withJar($clear->with(Finding::observed('jar.smell', 'fresh')), ['age' => ['months' => 9]] + $sound));
        self::assertStands(Progress::Stopped, 'hold.gas_in_oil', self::withJar($clear, $sound)->with(Finding::observed('look.oil_smell', 'gas')));
    }

    public function testWhatDidNotStartIsLookedIntoByWhatIsWorthMostAndASureCauseIsCured(): void
    {
        $case = self::toBeRun()->with(Finding::observed('start.plain', 'nothing'));
        $next = self::assessor()->assess($case)->next;
        self::assertNotSame([], $next);
        self::assertStands(Progress::FindingTheCause, $next[0]->test, $case);
        $case = $case->with(Finding::observed('jet.pilot', 'blocked'));
        $sure = self::assessor()->assess($case)->faults[0];
        self::assertTrue($sure->isSure() && $sure->isFound(), $sure->fault);
        self::assertSame('carb.pilot_blocked', $sure->fault);
        // Nobody is told to fit a whole carburetor for want of a wire.
        self::assertStands(Progress::FindingTheCause, 'pilot.cleaned', $case);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function cures(): iterable
    {
        yield 'cleaned before anything is renewed, the part before the whole' => ['carb.needle_stuck_shut', ['needle.cleaned', 'needle.renewed', 'needle_and_seat.renewed', 'carburetor.replaced']];
        yield 'the part before the whole' => ['carb.needle_leaks', ['needle_and_seat.renewed', 'carburetor.replaced']];
        yield 'in the order of the work' => ['fuel.water', ['tank.drained', 'tank.flushed', 'tank.dried', 'tank.filled']];
        yield 'set before it is renewed' => ['spark.coil_gap_wrong', ['coil_gap.set', 'coil.renewed']];
        yield 'only as a whole' => ['carb.corroded', ['carburetor.replaced']];
        yield 'by nothing that is an act' => ['engine.worn_out', []];
    }

    /** @param list<string> $acts */
    #[DataProvider('cures')]
    public function testTheLeastCureComesFirst(string $fault, array $acts): void
    {
        $sure = new Assessment([new Suspect($fault, 0.95, 0.02, 0.02, [], true, false, true)], [], [], [], self::assessor()->assess(self::toBeRun())->split);
        $progress = self::progression()->standOf(self::toBeRun()->with(Finding::observed('start.plain', 'nothing')), $sure);
        self::assertSame(Progress::FindingTheCause, $progress->progress);
        self::assertSame([...$acts, $fault], $progress->waitsFor);
    }

    /** Past its gates, with good fuel. */
    private static function toBeRun(): CaseFile
    {
        $case = new CaseFile(new MachineFacts(MachineKind::Generator), []);
        foreach (['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.oil_colour' => 'dark', 'look.air_filter' => 'clean', 'look.controls' => 'free', 'feel.pull' => 'normal', 'jar.tank' => 'clear_one_layer', 'jar.smell' => 'fresh'] as $look => $outcome) {
            $case = $case->with(Finding::observed($look, $outcome));
        }

        return self::withJar($case, ['layers' => ['height_mm' => 100, 'total_ml' => 90, 'lower_ml' => 0], 'look' => ['clarity' => 'clear', 'smell' => 'fresh'], 'age' => ['months' => 2]]);
    }

    public function testACureAsksForTheLookAgain(): void
    {
        $case = new CaseFile(new MachineFacts(MachineKind::Mower), [Finding::observed('look.oil_level', 'below_mark'), new PutRight('oil.low')]);
        self::assertStands(Progress::AtGates, 'look.oil_level', $case);
    }

    public function testTheWalkIsCutToTheMachine(): void
    {
        $gates = static fn (MachineKind $kind): array => array_map(
            static fn (GateState $state): string => $state->gate->id,
            self::walk(new CaseFile(new MachineFacts($kind))),
        );
        self::assertSame(['nests', 'signs', 'controls', 'pull'], $gates(MachineKind::TwoStrokeHandTool));
        self::assertSame(['oil', 'nests', 'signs', 'driven', 'controls', 'pull'], $gates(MachineKind::Mower));
        self::assertSame(['oil', 'nests', 'signs', 'driven', 'controls', 'pull'], $gates(MachineKind::PressureWasher));
        self::assertSame(['oil', 'nests', 'signs', 'controls', 'pull'], $gates(MachineKind::Generator));
    }

    public function testTheLongStoodHaveAGateMore(): void
    {
        $case = new CaseFile(new MachineFacts(MachineKind::Mower), [Finding::number('claim.idle_months', 24)]);
        $ids = array_map(static fn (GateState $state): string => $state->gate->id, self::walk($case));
        self::assertContains('stood', $ids);
        self::assertNotContains('stood', array_map(static fn (GateState $state): string => $state->gate->id, self::walk(new CaseFile(new MachineFacts(MachineKind::Mower), [Finding::number('claim.idle_months', 23)]))));
    }

    private static function assertStands(Progress $stand, string $next, CaseFile $case): void
    {
        $progress = self::progression()->standOf($case, self::assessor()->assess($case));
        self::assertSame([$stand, $next], [$progress->progress, $progress->why ?? $progress->next()]);
    }

    private static function assessor(): Assessor
    {
        return new Assessor(FaultModel::shipped(), Vocabulary::shipped(), self::gatekeeper());
    }

    private static function progression(): Progression
    {
        return new Progression(Vocabulary::shipped(), self::gatekeeper(), GateWalk::shipped(Vocabulary::shipped(), self::gatekeeper()));
    }

    private static function gatekeeper(): Gatekeeper
    {
        return new Gatekeeper(Vocabulary::shipped(), Closures::shipped());
    }

    /** @return list<GateState> */
    private static function walk(CaseFile $case): array
    {
        return GateWalk::shipped(Vocabulary::shipped(), self::gatekeeper())->walked($case);
    }

    /** @param array<string, mixed> $jar */
    private static function withJar(CaseFile $case, array $jar): CaseFile
    {
        /** @phpstan-ignore argument.type (the jars of this test are whole where it matters) */
        return new CaseFile($case->machine, $case->events, jars: ['tank' => JarReading::fromArray($jar)]);
    }
}
