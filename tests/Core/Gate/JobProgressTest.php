<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Gate;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateState;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Gate\JobProgress;
use AwakeShed\Core\Gate\Progress;
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
        self::assertStands(Progress::AtFuel, 'fuel.jar', $case);
        self::assertStands(Progress::AtFuel, 'fuel.look', self::withJar($case, ['look' => ['clarity' => 'clear']]));
        $sound = ['layers' => ['height_mm' => 100, 'total_ml' => 90, 'lower_ml' => 0], 'look' => ['clarity' => 'clear', 'smell' => 'fresh'], 'age' => ['months' => 2]];
        self::assertStands(Progress::Ready, 'engine.split', self::withJar($case, $sound));
        self::assertStands(Progress::Ready, 'fuel.away', self::withJar($case, ['look' => ['smell' => 'varnish']]));
        self::assertStands(Progress::Apart, 'carburetor.on', new CaseFile($case->machine, $case->events, isApart: true));
        self::assertStands(Progress::Stopped, 'hold.gas_in_oil', new CaseFile($case->machine, [...$case->events, Finding::observed('look.oil_smell', 'gas')], isApart: true));
        self::assertStands(Progress::Stopped, 'hold.gas_in_oil', self::withJar($case->with(Finding::observed('look.oil_smell', 'gas')), $sound));
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

    private static function assertStands(Progress $stand, string $waitsFor, CaseFile $case): void
    {
        $standing = JobProgress::of($case, self::walk($case));
        self::assertSame([$stand, $waitsFor], [$standing->stand, $standing->waitsFor]);
    }

    /** @return list<GateState> */
    private static function walk(CaseFile $case): array
    {
        $vocabulary = Vocabulary::shipped();

        return GateWalk::shipped($vocabulary, new Gatekeeper($vocabulary))->of($case);
    }

    /** @param array<string, mixed> $jar */
    private static function withJar(CaseFile $case, array $jar): CaseFile
    {
        /** @phpstan-ignore argument.type (the jars of this test are whole where it matters) */
        return new CaseFile($case->machine, $case->events, jars: ['tank' => JarReading::fromArray($jar)]);
    }
}
