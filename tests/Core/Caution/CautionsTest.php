<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Caution;

use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Caution\Cautions;
use AwakeShed\Core\Evidence\TestPattern;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Stage\StagePlan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whatever can hurt is warned of before it is done. What can hurt is listed here by hand, apart from the table. */
final class CautionsTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> the hazard, and the tests and acts that have it */
    public static function hazards(): iterable
    {
        yield 'opens fuel' => ['opens_fuel', ['jar.*', 'flow.*', 'look.tank', 'look.tap', 'look.filter', 'look.fuel_line', 'cap.seal', 'primer.press', 'leak.static', 'bowl.*', 'needle.pressure', 'needle.move', 'float.*', 'look.seat', 'look.inlet_screen', 'jet.*', 'emulsion.rings', 'body.metal', 'solenoid.check', 'pump.fuel_pulse', 'look.oil_smell', 'pull.*',
            'tank.*', 'line.*', 'filter.*', 'screen.cleaned', 'tap.*', 'cap.renewed', 'carburetor.*', 'needle.renewed', 'needle_and_seat.renewed', 'seat.renewed', 'float.renewed', 'bowl_gasket.renewed', 'diaphragm.renewed', 'fuel_pump.renewed', 'solenoid.renewed', 'crankcase.drained', 'cylinder.expelled']];
        yield 'turns' => ['turns', ['feel.pull', 'pull.*', 'spark.*', 'compression.*', 'prep.cylinder_oiled', 'look.plug', 'start.electric', 'look.blade', 'crank.true', 'look.belt_area', 'look.cooling', 'timing.flywheel_key', 'valve.*', 'pump.state', 'cable.*', 'look.controls', 'linkage.check', 'choke.check', 'autochoke.check',
            'cylinder.oiled', 'cylinder.expelled', 'plug.out', 'plug.in', 'coil.renewed', 'coil_gap.set', 'flywheel_key.renewed', 'valve_lash.set', 'cooling.cleared', 'belt_area.cleared', 'cables.set', 'linkage.set', 'choke.set', 'pump.renewed', 'brushes.renewed', 'head_gasket.renewed']];
        yield 'fires' => ['fires', ['start.plain', 'start.bypass', 'start.bypass_repeat', 'run.*', 'gen.output', 'gen.frequency', 'gen.flash', 'washer.pressure', 'washer.unloader', 'intake.frost', 'intake.gasket', 'engine.ran', 'idle.set', 'governor.set', 'generator.flashed']];
        yield 'heats' => ['heats', ['look.muffler', 'look.breather', 'look.bore', 'muffler.cleared', 'breather.cleared']];
        yield 'pressurises' => ['pressurises', ['needle.pressure', 'compression.leakdown', 'crankcase.pressure_test', 'washer.pressure', 'washer.unloader', 'washer.nozzle', 'unloader.freed', 'nozzle.renewed']];
        yield 'sprays' => ['sprays', ['passages.spray', 'main_jet.cleaned', 'pilot.cleaned', 'emulsion.cleaned', 'passages.cleared', 'air_filter.cleaned']];
        yield 'springs back' => ['springs', ['recoil.rope', 'recoil_rope.renewed']];
        yield 'is live' => ['electric', ['battery.*', 'gen.*', 'starter.mended', 'solenoid_starter.renewed', 'generator.flashed', 'brushes.renewed', 'regulator.renewed', 'breaker.reset']];
        yield 'spills' => ['spills', ['look.oil_level', 'crankcase.drained', 'crankcase.drained_to_mark', 'crankcase.filled', 'crankcase.topped_up']];
    }

    /** @param list<string> $patterns */
    #[DataProvider('hazards')]
    public function testWhateverCanHurtNamesACautionAboutIt(string $hazard, array $patterns): void
    {
        $cautions = Cautions::shipped();
        $vocabulary = Vocabulary::shipped();
        $seen = 0;
        foreach ([...array_keys($vocabulary->tests), ...array_keys($vocabulary->acts)] as $id) {
            if (TestPattern::matchesAny($patterns, $id)) {
                ++$seen;
                $named = isset($vocabulary->tests[$id]) ? $cautions->ofTest($id) : $cautions->ofAct($id);
                self::assertContains($hazard, array_map(static fn (string $caution): string => $cautions->hazards[$caution], $named), "$id can hurt ($hazard) and says nothing of it");
            }
        }
        self::assertGreaterThanOrEqual(\count($patterns), $seen, 'every pattern means something');
    }

    public function testTheTableIsWholeAndNamesNothingThatIsNotThere(): void
    {
        /** @var array{source_class: string, hazards: array<string, string>, tests: array<string, list<string>>, acts: array<string, list<string>>, steps: array<string, list<string>>, gates: array<string, list<string>>, checks: array<string, list<string>>, calculations: array<string, list<string>>} $table */
        $table = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Caution/data/cautions.json'), true, 16, \JSON_THROW_ON_ERROR);
        $vocabulary = Vocabulary::shipped();
        $gatekeeper = new Gatekeeper($vocabulary, Closures::shipped());
        self::assertSame('common practice', $table['source_class']);
        self::assertEqualsCanonicalizing(array_keys($vocabulary->tests), array_keys($table['tests']));
        self::assertEqualsCanonicalizing(array_keys($vocabulary->acts), array_keys($table['acts']));
        self::assertEqualsCanonicalizing(array_map(static fn ($check): string => $check->id, Carburetors::shipped()->checks), array_keys($table['checks']));
        $walk = GateWalk::shipped($vocabulary, $gatekeeper);
        foreach (array_keys($table['gates']) as $gate) {
            self::assertTrue($walk->has($gate), $gate);
        }
        $plan = StagePlan::shipped($vocabulary, $gatekeeper);
        foreach (array_keys($table['steps']) as $step) {
            self::assertSame($step, $plan->step($step)->id);
        }
        foreach (array_merge(...array_values(array_map(array_values(...), [$table['tests'], $table['acts'], $table['steps'], $table['gates'], $table['checks']]))) as $named) {
            self::assertSame([], array_diff($named, array_keys($table['hazards'])));
        }
    }

    public function testARecoilSpringIsNoRunningEngine(): void
    {
        self::assertSame(['recoil_spring'], Cautions::shipped()->ofTest('recoil.rope'));
        self::assertSame(['recoil_spring'], Cautions::shipped()->ofAct('recoil_rope.renewed'));
    }

    public function testAStepWarnsOfWhatItIs(): void
    {
        $plan = StagePlan::shipped(Vocabulary::shipped(), new Gatekeeper(Vocabulary::shipped(), Closures::shipped()));
        $of = static fn (string $step): array => Cautions::shipped()->ofStep($plan->step($step));
        self::assertSame(['oil_tray', 'gasoline_vapour'], $of('flush.drain'));
        self::assertContains('hot_oil', $of('flush.drain_hot'));
        self::assertSame(['running'], $of('flush.run_1'));
        foreach ($plan->stages() as $stage) {
            foreach ($stage->steps as $step) {
                if ($step->isAct() && null !== $step->as) {
                    self::assertNotSame([], $of($step->id), "$step->id turns or fires it");
                }
            }
        }
    }

    public function testEveryRowOfTheTableIsReadAndNothingElseIsWarnedOf(): void
    {
        /** @var array{gates: array<string, list<string>>, tests: array<string, list<string>>, acts: array<string, list<string>>, checks: array<string, list<string>>, calculations: array<string, list<string>>} $table */
        $table = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Caution/data/cautions.json'), true, 16, \JSON_THROW_ON_ERROR);
        $cautions = Cautions::shipped();
        foreach ([[$table['gates'], $cautions->atGate(...)], [$table['tests'], $cautions->ofTest(...)], [$table['acts'], $cautions->ofAct(...)], [$table['checks'], $cautions->ofCheck(...)], [$table['calculations'], $cautions->ofCalculation(...)]] as [$rows, $of]) {
            foreach ($rows as $id => $named) {
                self::assertSame($named, $of($id), $id);
            }
            self::assertSame([], $of('there is no such thing'));
        }
    }
}
