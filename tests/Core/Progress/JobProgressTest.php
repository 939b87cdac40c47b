<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Progress;

use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\FaultModel;
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
use PHPUnit\Framework\TestCase;

/** One machine walked from the door to "ready", and stopped on the way. */
final class JobProgressTest extends TestCase
{
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
        $vocabulary = Vocabulary::shipped();
        $gatekeeper = new Gatekeeper($vocabulary, Closures::shipped());
        $progress = (new Progression($vocabulary, $gatekeeper, GateWalk::shipped($vocabulary, $gatekeeper)))->standOf($case, (new Assessor(FaultModel::shipped(), $vocabulary, $gatekeeper))->assess($case));
        self::assertSame([$stand, $next], [$progress->progress, $progress->why ?? $progress->next()]);
    }

    /** @return list<GateState> */
    private static function walk(CaseFile $case): array
    {
        $vocabulary = Vocabulary::shipped();

        return GateWalk::shipped($vocabulary, new Gatekeeper($vocabulary, Closures::shipped()))->walked($case);
    }

    /** @param array<string, mixed> $jar */
    private static function withJar(CaseFile $case, array $jar): CaseFile
    {
        /** @phpstan-ignore argument.type (the jars of this test are whole where it matters) */
        return new CaseFile($case->machine, $case->events, jars: ['tank' => JarReading::fromArray($jar)]);
    }
}
