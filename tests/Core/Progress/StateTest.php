<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Progress;

use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Progress\Ask;
use AwakeShed\Core\Progress\Asks;
use AwakeShed\Core\Progress\HandBack;
use AwakeShed\Core\Progress\LookBack;
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Progress\ProofRun;
use AwakeShed\Core\Progress\RaisedAsk;
use AwakeShed\Core\Progress\Unproved;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Machines as technicians leave them in the middle of the work, told in short: "test=outcome" was found, "act" was done,
 * "!fault" was put right. What is closed then, where the job stands, and what it asks.
 */
final class StateTest extends TestCase
{
    private const GATES = 'look.oil_level=at_mark look.oil_smell=none look.oil_body=normal look.oil_colour=dark look.air_filter=clean look.blade=true look.controls=free feel.pull=normal ';
    private const FUEL = 'jar.tank=clear_one_layer jar.smell=fresh ';
    private const SOUND = self::GATES.self::FUEL;
    private const RUN = 'start.plain=runs run.steady=steady run.choke_off=steady run.load=holds run.minutes_later=keeps_running ';
    private const PROVED = self::SOUND.self::RUN;

    /** @return iterable<string, array{string, array<string, string|null>, 2?: MachineKind}> story, by test what it waits for (null: open) */
    public static function gates(): iterable
    {
        yield 'a drained crankcase starts nothing' => [self::SOUND.'crankcase.drained', ['start.plain' => 'crankcase.filled', 'run.steady' => 'crankcase.filled', 'start.electric' => 'crankcase.filled', 'compression.gauge' => 'crankcase.filled', 'start.bypass' => 'crankcase.filled']];
        yield 'a filled one wants a look' => [self::SOUND.'crankcase.drained crankcase.filled', ['start.plain' => 'look.oil_level', 'compression.gauge' => 'look.oil_level', 'start.electric' => 'look.oil_level']];
        yield 'and is open after it' => [self::SOUND.'crankcase.drained crankcase.filled look.oil_level=at_mark', ['start.plain' => null, 'compression.gauge' => null, 'run.steady' => null]];
        yield 'topping up wants a look as well' => [self::SOUND.'look.oil_level=below_mark crankcase.topped_up', ['start.plain' => 'look.oil_level']];
        yield 'and low oil topped up and seen is no hold' => [self::SOUND.'look.oil_level=below_mark crankcase.topped_up look.oil_level=at_mark', ['start.plain' => null]];
        yield 'bowl off' => [self::SOUND.'bowl.off', ['start.plain' => 'bowl.on', 'run.load' => 'bowl.on', 'spark.tester' => null]];
        yield 'bowl cleaned and still off' => [self::SOUND.'bowl.off bowl.cleaned', ['start.plain' => 'bowl.on']];
        yield 'bowl on and nobody looked for a leak' => [self::SOUND.'bowl.off bowl.cleaned bowl.on', ['start.plain' => 'leak.static']];
        yield 'bowl on and dry' => [self::SOUND.'bowl.off bowl.cleaned bowl.on leak.static=none', ['start.plain' => null]];
        yield 'carburetor off' => [self::SOUND.'carburetor.off', ['start.plain' => 'carburetor.on', 'start.bypass' => 'carburetor.on']];
        yield 'carburetor on and not checked' => [self::SOUND.'carburetor.off carburetor.on', ['start.plain' => 'carburetor.checked', 'run.steady' => 'carburetor.checked']];
        yield 'carburetor checked' => [self::SOUND.'carburetor.off carburetor.on carburetor.checked', ['start.plain' => null]];
        yield 'a whole new carburetor is checked too' => [self::SOUND.'carburetor.replaced', ['start.plain' => 'carburetor.checked']];
        yield 'the plug is out' => [self::SOUND.'plug.out', ['start.plain' => 'plug.in', 'feel.pull' => null]];
        yield 'and in' => [self::SOUND.'plug.out plug.cleaned plug.in', ['start.plain' => null]];
        yield 'a washer nobody asked about water' => [self::SOUND.'pump.state=turns', ['start.plain' => 'water.on', 'run.steady' => 'water.on', 'washer.pressure' => 'gate.water_supply'], MachineKind::PressureWasher];
        yield 'its water is on and bled' => [self::SOUND.'pump.state=turns water.on', ['start.plain' => null, 'run.steady' => null], MachineKind::PressureWasher];
        yield 'its water was seen on' => [self::SOUND.'pump.state=turns gate.water_supply=on', ['start.plain' => null], MachineKind::PressureWasher];
        yield 'its water was turned off again' => [self::SOUND.'pump.state=turns water.on water.off', ['start.plain' => 'water.on'], MachineKind::PressureWasher];
        yield 'a mower has no water' => [self::SOUND, ['start.plain' => null]];
        yield 'it overspeeds' => [self::SOUND.'start.plain=runs run.steady=overspeeds', ['run.load' => 'hold.overspeed', 'run.minutes_later' => 'hold.overspeed', 'run.speed' => null]];
        yield 'set, and not measured again' => [self::SOUND.'start.plain=runs run.steady=overspeeds governor.set', ['run.load' => 'run.steady']];
        yield 'set, and measured again' => [self::SOUND.'start.plain=runs run.steady=overspeeds governor.set run.steady=steady', ['run.load' => null]];
        yield 'a cracked line' => [self::SOUND.'look.fuel_line=hard_or_cracked', ['start.plain' => 'hold.leaking_feed', 'run.steady' => 'hold.leaking_feed']];
        yield 'a leaking cap' => [self::SOUND.'cap.seal=leaks', ['start.plain' => 'hold.leaking_feed']];
        yield 'a new line, looked at' => [self::SOUND.'look.fuel_line=hard_or_cracked line.renewed look.fuel_line=supple', ['start.plain' => null]];
        yield 'it leaks standing' => [self::SOUND.'leak.static=overflow', ['start.plain' => 'hold.leak', 'run.steady' => 'hold.leak']];
        yield 'taken apart for it, nothing is forgotten' => [self::SOUND.'leak.static=bowl bowl.off bowl_gasket.renewed bowl.on carburetor.checked', ['start.plain' => 'leak.static']];
        yield 'a locked pull lets no spark' => [self::GATES.'feel.pull=locked', ['spark.tester' => 'hold.pull', 'start.plain' => 'hold.pull', 'compression.gauge' => 'hold.pull']];
        yield 'an unreadable level lets no spark' => ['look.oil_level=unreadable', ['spark.tester' => 'hold.oil_unreadable', 'feel.pull' => 'hold.oil_unreadable']];
        yield 'a wet cylinder lets no spark' => [self::GATES.'pull.plug_out=free pull.ejecta=gas', ['spark.tester' => 'hold.ejecta']];
        yield 'a cleared one, felt again, does' => [self::GATES.'feel.pull=locked pull.plug_out=free pull.ejecta=gas cylinder.expelled pull.ejecta=none feel.pull=normal', ['spark.tester' => null, 'start.plain' => null]];
        yield 'a long-dry cylinder lets no spark' => ['claim.idle_months=72 '.self::SOUND, ['spark.tester' => 'prep.cylinder_oiled', 'start.plain' => 'prep.cylinder_oiled', 'compression.gauge' => 'prep.cylinder_oiled']];
        yield 'a spoonful of oil opens it' => ['claim.idle_months=72 cylinder.oiled '.self::SOUND, ['spark.tester' => null, 'start.plain' => null]];
        yield 'covers off: the bare moment only' => [self::SOUND.'covers.off start.plain=runs', ['start.plain' => null, 'run.steady' => 'covers.on', 'run.load' => 'covers.on']];
        yield 'covers on again' => [self::SOUND.'covers.off start.plain=runs covers.on', ['run.steady' => null]];
        yield 'filter out: the bare moment only' => [self::SOUND.'air_filter.out', ['start.plain' => null, 'run.steady' => 'air_filter.in']];
        yield 'gas in the oil' => ['look.oil_level=far_over look.oil_smell=gas', ['start.plain' => 'hold.gas_in_oil', 'spark.tester' => 'hold.gas_in_oil', 'feel.pull' => 'hold.gas_in_oil']];
        yield 'first fill, honestly still smelling: one short run' => [self::GATES.'look.oil_smell=gas crankcase.drained crankcase.filled look.oil_level=at_mark look.oil_smell=residue_expected', ['start.plain' => null, 'run.load' => 'crankcase.drained', 'run.minutes_later' => 'crankcase.drained']];
        yield 'and no second one on the same oil' => [self::GATES.'look.oil_smell=gas crankcase.drained crankcase.filled look.oil_level=at_mark look.oil_smell=residue_expected start.plain=runs', ['start.plain' => 'crankcase.drained', 'run.steady' => 'crankcase.drained', 'run.smoke' => null]];
        yield 'until it is changed again' => [self::GATES.'look.oil_smell=gas crankcase.drained crankcase.filled look.oil_level=at_mark look.oil_smell=residue_expected engine.ran crankcase.drained crankcase.filled look.oil_level=at_mark look.oil_smell=none', ['start.plain' => null, 'run.load' => null]];
        yield 'nobody expects a residue in oil that nobody filled' => [self::GATES.'look.oil_smell=residue_expected', ['start.plain' => 'crankcase.drained', 'spark.tester' => 'crankcase.drained']];
        yield 'a plain overfill is no gas in the oil' => [self::GATES.'look.oil_level=far_over crankcase.drained_to_mark look.oil_level=at_mark', ['start.plain' => null, 'spark.tester' => null]];
        yield 'rotten foam, renewed and looked at' => [self::GATES.'look.air_filter=rotten foam.removed air_filter.renewed look.air_filter=clean', ['start.plain' => null, 'run.steady' => null]];
        yield 'a filter renewed and not looked at' => [self::GATES.'look.air_filter=rotten air_filter.renewed', ['start.plain' => 'look.air_filter']];
        yield 'a two-stroke has no crankcase oil' => ['look.air_filter=clean feel.pull=normal', ['start.plain' => null], MachineKind::TwoStrokeHandTool];
        yield 'sheared key' => [self::SOUND.'timing.flywheel_key=sheared', ['start.plain' => 'hold.key_sheared']];
        yield 'water in the oil' => [self::SOUND.'look.oil_colour=milky', ['start.plain' => 'hold.water_in_oil']];
    }

    /** @param array<string, string|null> $expected */
    #[DataProvider('gates')]
    public function testTheStateClosesWhatCouldHurtAndSaysTheWayOut(string $story, array $expected, MachineKind $kind = MachineKind::Mower): void
    {
        $case = self::told($story, $kind);
        foreach ($expected as $test => $until) {
            $waits = array_map(static fn (Blocker $blocker): string => $blocker->until, self::gatekeeper()->blockers($case, $test));
            null === $until ? self::assertSame([], $waits, $test) : self::assertContains($until, $waits, $test.' waits for '.implode(', ', $waits));
        }
    }

    /** @return iterable<string, array{string, string, string|null, 3?: MachineKind}> story, stand, next */
    public static function stands(): iterable
    {
        yield 'only the owner has spoken' => ['claim.tipped=no', 'taken_in', 'look.oil_level'];
        yield 'one look' => ['look.oil_level=at_mark', 'at_gates', 'look.oil_smell'];
        yield 'gas in the oil' => [self::GATES.'look.oil_smell=gas', 'stopped', 'crankcase.drained'];
        yield 'a plain overfill is led out as one' => [self::GATES.'look.oil_level=far_over', 'stopped', 'crankcase.drained'];
        yield 'drained: the oil comes before anything to be learned' => [self::GATES.'look.oil_smell=gas crankcase.drained', 'at_gates', 'crankcase.filled'];
        yield 'filled: look' => [self::SOUND.'crankcase.drained crankcase.filled', 'at_gates', 'look.oil_level'];
        yield 'fresh oil into sound oil asks for one look' => [self::SOUND.'crankcase.drained crankcase.filled look.oil_level=at_mark', 'before_first_run', 'start.plain'];
        yield 'unknown fuel' => [self::GATES, 'at_fuel', 'jar.tank'];
        yield 'fuel that nobody smelled' => [self::GATES.'jar.tank=clear_one_layer', 'at_fuel', 'jar.smell'];
        yield 'separated fuel' => [self::GATES.'jar.tank=two_layers', 'at_fuel', 'tank.drained'];
        yield 'poured away' => [self::GATES.'jar.tank=two_layers tank.drained', 'at_fuel', 'tank.filled'];
        yield 'dried without a flush: fresh fuel all the same' => [self::GATES.'jar.tank=two_layers tank.drained tank.dried', 'at_fuel', 'tank.filled'];
        yield 'an empty tank wants fuel, not a jar' => [self::GATES.'jar.tank=empty', 'at_fuel', 'tank.filled'];
        yield 'fresh fuel' => [self::GATES.'jar.tank=two_layers tank.drained tank.flushed tank.filled', 'before_first_run', 'start.plain'];
        yield 'sound fuel' => [self::SOUND, 'before_first_run', 'start.plain'];
        yield 'bowl off' => [self::SOUND.'bowl.off', 'apart', 'bowl.inside'];
        yield 'bowl found fouled' => [self::SOUND.'bowl.off bowl.inside=jelly', 'apart', 'bowl.cleaned'];
        yield 'bowl found clean' => [self::SOUND.'bowl.off bowl.inside=clean', 'apart', 'bowl.on'];
        yield 'bowl found dry' => [self::SOUND.'bowl.off bowl.inside=dry', 'apart', 'bowl.on'];
        yield 'bowl found fouled once more' => [self::SOUND.'bowl.off bowl.inside=jelly bowl.cleaned bowl.inside=film', 'apart', 'bowl.cleaned'];
        yield 'carburetor off, its bowl found clean' => [self::SOUND.'carburetor.off bowl.inside=clean', 'apart', 'carburetor.on'];
        yield 'bowl cleaned' => [self::SOUND.'bowl.off bowl.inside=jelly bowl.cleaned', 'apart', 'bowl.on'];
        yield 'bowl on' => [self::SOUND.'bowl.off bowl.inside=jelly bowl.cleaned bowl.on', 'going_together', 'leak.static'];
        yield 'carburetor on' => [self::SOUND.'carburetor.off carburetor.on', 'going_together', 'carburetor.checked'];
        yield 'plug out' => [self::SOUND.'plug.out', 'going_together', 'plug.in'];
        yield 'it does not start' => [self::SOUND.'start.plain=nothing spark.tester=none spark.kill_wire_off=strong spark.safety_switch=lets_spark spark.stop_switch=closed_in_run', 'finding_the_cause', 'kill_wire.mended'];
        yield 'mended: try again' => [self::SOUND.'start.plain=nothing spark.tester=none spark.kill_wire_off=strong kill_wire.mended', 'before_first_run', 'start.plain'];
        yield 'it runs' => [self::SOUND.'start.plain=runs', 'proving', 'run.steady'];
        yield 'it ran under load: nobody asks for a jar any more' => [self::GATES.'start.plain=runs run.steady=steady run.choke_off=steady run.load=holds', 'proving', 'run.minutes_later'];
        yield 'covers still off' => [self::SOUND.'covers.off start.plain=runs', 'proving', 'covers.on'];
        yield 'proved' => [self::PROVED, 'fit_to_go_home', null];
        yield 'proved, and the filter lies on the bench' => [self::PROVED.'air_filter.out', 'going_together', 'air_filter.in'];
        yield 'proved, then something was put right: it is run again' => [self::PROVED.'bowl.off bowl.cleaned bowl.on leak.static=none', 'before_first_run', 'start.plain'];
        yield 'washer without water' => [self::SOUND.'pump.state=turns', 'before_first_run', 'water.on', MachineKind::PressureWasher];
        yield 'overspeeding' => [self::SOUND.'start.plain=runs run.steady=overspeeds', 'stopped', 'governor.set'];
        yield 'a leaking cap is renewed' => [self::SOUND.'cap.seal=leaks', 'stopped', 'cap.renewed'];
        yield 'a cracked line is renewed' => [self::SOUND.'look.fuel_line=hard_or_cracked', 'stopped', 'line.renewed'];
        yield 'a leak that is being mended stops nobody' => [self::SOUND.'leak.static=overflow carburetor.off', 'apart', 'bowl.inside'];
    }

    #[DataProvider('stands')]
    public function testTheJobStandsInOnePlaceAndOneThingMovesItOn(string $story, string $stand, ?string $next, MachineKind $kind = MachineKind::Mower): void
    {
        $case = self::told($story, $kind);
        $progress = self::progression()->standOf($case, self::assessor()->assess($case));
        self::assertSame([$stand, $next], [$progress->progress->value, $progress->next()]);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function asking(): iterable
    {
        yield 'nothing to ask' => [self::PROVED, []];
        yield 'a clean bowl on a tank nobody looked into' => [self::SOUND.'bowl.off bowl.cleaned bowl.on', ['ask.dirty_feed']];
        yield 'a clean bowl on a clean feed' => [self::SOUND.'look.tank=clean flow.line=pours bowl.off bowl.cleaned bowl.on', []];
        yield 'a clean bowl on a feed that was cleaned' => [self::SOUND.'look.tank=sediment flow.line=trickles tank.drained tank.flushed line.blown_back tank.filled bowl.off bowl.cleaned bowl.on', []];
        yield 'stale fuel' => [self::GATES.'jar.tank=clear_one_layer jar.smell=stale', ['ask.stale_start']];
        yield 'stale fuel poured away' => [self::GATES.'jar.tank=clear_one_layer jar.smell=stale tank.drained tank.filled', []];
        yield 'a new needle nobody tested' => [self::SOUND.'needle_and_seat.renewed', ['ask.needle_untested']];
        yield 'a new needle that holds' => [self::SOUND.'needle_and_seat.renewed needle.pressure=holds', []];
        yield 'one fill after gas in the oil' => [self::GATES.'look.oil_smell=gas crankcase.drained crankcase.filled look.oil_level=at_mark look.oil_smell=none', ['ask.second_change']];
        yield 'two' => [self::GATES.'look.oil_smell=gas crankcase.drained crankcase.filled look.oil_level=at_mark engine.ran crankcase.drained crankcase.filled', []];
    }

    /** @param list<string> $asks */
    #[DataProvider('asking')]
    public function testTheStateAsksForWhatWouldBringTheMachineBack(string $story, array $asks): void
    {
        self::assertSame($asks, array_map(static fn (RaisedAsk $raised): string => $raised->ask->value, Asks::shipped()->raised(self::told($story))));
    }

    public function testWhatWasPutRightIsUnprovedUntilALookOrARunShowsIt(): void
    {
        $unproved = static function (string $story): array {
            $case = self::told($story);

            return (new Unproved(FaultModel::shipped()))->left($case, self::assessor()->assess($case));
        };
        self::assertSame([], $unproved(self::PROVED));
        self::assertContains('carb.bowl_fouled', $unproved(self::SOUND.'bowl.off bowl.inside=jelly bowl.cleaned'));
        self::assertNotContains('carb.bowl_fouled', $unproved(self::SOUND.'bowl.off bowl.inside=jelly bowl.cleaned bowl.inside=clean'));
        self::assertContains('carb.bowl_fouled', $unproved(self::SOUND.'bowl.off bowl.inside=jelly bowl.cleaned look.blade=true look.cooling=clear spark.tester=strong'), 'what does not bear on it proves nothing of it');
        foreach ([['carb.main_jet_blocked', 'claim.last_behaviour', 'ran_fine'], ['fuel.stale', 'claim.tank_fuel_age', 'fresh']] as [$fault, $claim, $said]) {
            $case = new CaseFile(new MachineFacts(MachineKind::Mower), [new PutRight($fault), Finding::observed($claim, $said)]);
            self::assertContains($fault, (new Unproved(FaultModel::shipped()))->left($case, self::assessor()->assess($case)), 'nor does what the owner says');
        }
        self::assertContains('carb.needle_leaks', $unproved(self::GATES.'look.oil_smell=gas crankcase.drained crankcase.filled'));
        self::assertNotContains('carb.needle_leaks', $unproved(self::GATES.'look.oil_smell=gas crankcase.drained crankcase.filled needle_and_seat.renewed needle.pressure=holds'));
        self::assertContains('carb.needle_leaks', $unproved(self::SOUND.'needle.pressure=leaks needle_and_seat.renewed'));
        self::assertContains('timing.key_sheared', $unproved(self::SOUND.'timing.flywheel_key=sheared'), 'found, and not put right');
        self::assertContains('cable.misadjusted', $unproved(self::SOUND.'cables.set'));
        self::assertSame([], $unproved(self::SOUND.'cables.set '.self::RUN), 'nobody looked again, and the machine as a whole shows it');
    }

    public function testACleanedBowlIsNoSuspectAnyMore(): void
    {
        $belief = static fn (string $story): float => self::assessor()->beliefs(self::told($story))['carb.bowl_fouled'];
        self::assertGreaterThan(0.85, $belief(self::SOUND.'bowl.off bowl.inside=jelly'));
        self::assertLessThan(0.05, $belief(self::SOUND.'bowl.off bowl.inside=jelly bowl.cleaned bowl.inside=clean bowl.on'));
    }

    public function testNothingIsSuggestedThatCannotBeMadeOrThatTheStateAnswers(): void
    {
        $next = static fn (string $story): array => array_map(static fn (NextTest $one): string => $one->test, self::assessor()->assess(self::told($story))->next);
        self::assertSame([], array_filter($next(self::SOUND.'start.plain=nothing'), static fn (string $test): bool => str_starts_with($test, 'run.')), 'it does not run');
        self::assertContains('run.steady', $next(self::SOUND.'start.plain=runs'));
        $fresh = $next(self::GATES.'jar.tank=two_layers tank.drained tank.flushed tank.filled');
        self::assertSame([], array_intersect(['jar.tank', 'jar.smell', 'look.tank'], $fresh), 'fresh fuel in a flushed tank');
        self::assertNotContains('look.plug', $next(self::SOUND.'look.plug=gas_wet plug.renewed start.plain=nothing'));
        self::assertNotContains('compression.gauge', $next(self::SOUND.'start.plain=nothing crankcase.drained'), 'its oil is out');
    }

    public function testActsAreFoldedInTheirOrder(): void
    {
        $case = self::told('look.oil_level=far_over crankcase.drained look.oil_smell=none crankcase.filled');
        self::assertNull($case->standing('look.oil_level'));
        self::assertTrue($case->isVoided('look.oil_level'));
        self::assertTrue($case->everSaid(['look.oil_level' => ['far_over']]), 'it stays in the history');
        self::assertSame('filled', $case->state->stateOf('crankcase'));
        self::assertSame(['oil.low'], $case->cured());
        self::assertNull($case->state->stateOf('tank'), 'nobody has touched it');
        self::assertSame(['at_mark'], self::told('crankcase.filled look.oil_level=at_mark')->standing('look.oil_level')?->outcomes);
    }

    public function testWhatWasFilledIsAnotherThingOnceItWasLookedAt(): void
    {
        $crankcase = static fn (string $story): ?string => self::told($story)->things()['crankcase'] ?? null;
        self::assertNull($crankcase('look.oil_level=at_mark'));
        self::assertSame('filled', $crankcase('look.oil_level=at_mark crankcase.drained crankcase.filled'));
        self::assertSame('filled_and_looked_at', $crankcase('crankcase.drained crankcase.filled look.oil_level=at_mark'));
        self::assertSame('drained', $crankcase('crankcase.drained look.oil_level=below_mark'));
        self::assertSame(['crankcase', 'bowl'], array_keys(self::told('bowl.off crankcase.drained bowl.cleaned')->things()), 'the last touched last');
    }

    /** Clean, and nobody cleaned it; to be put back to so many turns, and nobody wrote them down. */
    public function testTheBenchAsksForWhatWasGonePast(): void
    {
        $asked = static fn (PartsLedger $ledger): array => array_map(static fn (RaisedAsk $one): Ask => $one->ask, Asks::shipped()->atTheBench($ledger));
        $ledger = Carburetors::shipped()->ledger([MoveKind::Begin->move(said: ['type' => 'bowl_brass']), MoveKind::Off->move(said: ['kind' => 'main_jet'])]);
        $toBeCleaned = $ledger->after(MoveKind::Keep->move(1, ['keep' => 'clean']));

        self::assertSame([], $asked($ledger->after(MoveKind::On->move(1))), 'nobody said it was to be cleaned');
        self::assertSame([], $asked($toBeCleaned), 'it is off, and may still be');
        self::assertSame([Ask::PartUncleaned], $asked($toBeCleaned->after(MoveKind::On->move(1))));
        self::assertSame(-1, Asks::shipped()->atTheBench($toBeCleaned->after(MoveKind::On->move(1)))[0]->since, 'no event raised it: the bench says it');
        self::assertSame([], $asked($toBeCleaned->after(MoveKind::Clean->move(1, ['method' => 'spray']))->after(MoveKind::On->move(1))));
        self::assertSame([Ask::TurnsUnwritten], $asked($ledger->after(MoveKind::Off->move(said: ['kind' => 'mixture_screw']))));
        self::assertSame([], $asked($ledger->after(MoveKind::Off->move(said: ['kind' => 'mixture_screw', 'turns' => '1 1/2']))));
    }

    public function testWhatIsAskedIsSaidBeforeTestsOfTheVocabularyAndAnsweredByItsWords(): void
    {
        $vocabulary = Vocabulary::shipped();
        /** @var array{asks: array<string, array{before: list<string>, answers: list<string>}>} $table */
        $table = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Progress/data/asks.json'), true, 16, \JSON_THROW_ON_ERROR);
        self::assertSame(array_column(Ask::cases(), 'value'), array_keys($table['asks']));
        foreach ($table['asks'] as $ask => ['before' => $before, 'answers' => $answers]) {
            foreach ($before as $test) {
                self::assertArrayHasKey($test, $vocabulary->tests, $ask);
            }
            foreach ($answers as $way) {
                self::assertTrue(isset($vocabulary->tests[$way]) || isset($vocabulary->acts[$way]), "$ask: $way");
            }
        }
        self::assertSame([], Asks::shipped()->before('start.bypass', Asks::shipped()->raised(self::told('jar.smell=stale'))), 'the bypass test runs on its own spoonful');
    }

    /** Fit as it is, or with one thing each that is not: who lets it go says why, and of some nobody may. */
    public function testWhoLetsItGoAsItIsSaysWhy(): void
    {
        $ask = new RaisedAsk(Ask::SecondChange, 3);
        foreach ([
            'nothing' => [new HandBack([], false, null, [], [], [], []), false, false],
            'a hold' => [new HandBack(['hold.gas_in_oil'], false, null, [], [], [], []), true, false],
            'no oil in it' => [new HandBack([], true, null, [], [], [], []), true, false],
            'liquid would return' => [new HandBack([], false, 'needle', [], [], [], []), true, false],
            'open' => [new HandBack([], false, null, ['bowl.on'], [], [], []), false, true],
            'unproved' => [new HandBack([], false, null, [], ['carb.needle_leaks'], [], []), false, true],
            'left of the proof' => [new HandBack([], false, null, [], [], ['run.load'], []), false, true],
            'asked' => [new HandBack([], false, null, [], [], [], [$ask]), false, true],
        ] as $what => [$back, $isRefused, $wantsReason]) {
            self::assertSame([$isRefused, $wantsReason], [$back->isRefused(), $back->wantsReason([])], $what);
        }
        self::assertFalse((new HandBack([], false, null, [], [], [], [$ask]))->wantsReason([Ask::SecondChange->value]), 'somebody said why');
    }

    public function testATwoStrokeMowerIsNotHeldByACrankcase(): void
    {
        $case = new CaseFile(new MachineFacts(MachineKind::Mower, Cycle::TwoStroke), self::told('look.air_filter=clean feel.pull=normal look.blade=true crankcase.drained')->events);
        self::assertSame([], self::gatekeeper()->blockers($case, 'start.plain'));
    }

    public function testAnEngineThatWasWorkedOnShowsAgainThatItRuns(): void
    {
        $run = ['start.plain', 'run.steady', 'run.choke_off', 'run.load', 'run.minutes_later'];
        self::assertSame($run, ProofRun::left(self::told(self::SOUND)));
        self::assertSame([], ProofRun::left(self::told(self::PROVED)));
        self::assertSame($run, ProofRun::left(self::told(self::PROVED.'cables.set')));
        self::assertSame($run, ProofRun::left(self::told(self::PROVED.'!cable.misadjusted')));
        self::assertSame([], ProofRun::left(self::told(self::PROVED.'cables.set '.self::RUN)));
        self::assertSame([], ProofRun::left(self::told(self::PROVED.'tank.drained tank.filled')), 'fuel is no work on the engine');
        $case = self::told(self::PROVED);
        $earlier = new CaseFile($case->machine, [...$case->events, new Done(Vocabulary::shipped()->act('cables.set'), [], LookBack::EARLIER)]);
        self::assertSame([], ProofRun::left($earlier), 'it was done before the engine ran, and is said now');
        self::assertSame([false, true, false, true], array_map(static fn (string $story): bool => ProofRun::hasRun(self::told(self::SOUND.$story)), ['start.plain=nothing', 'start.plain=runs', 'start.plain=runs cables.set', 'cables.set start.plain=runs']));
        self::assertSame([['run.steady', 'run.load'], ['run.load']], array_map(static fn (string $story): array => ProofRun::failed(self::told($story)), [self::PROVED.'run.steady=surges_no_load run.load=sags', self::PROVED.'run.steady=surges_no_load cables.set run.load=sags']), 'what was put right since has not failed yet');
    }

    public function testOneLooksBackOnceFuelIsInOrItRuns(): void
    {
        foreach (['look.plug=dry', 'tank.drained', 'start.plain=nothing', 'carburetor.on'] as $early) {
            self::assertFalse(LookBack::isTime(self::told($early)), $early);
        }
        foreach (['tank.filled', 'look.plug=dry tank.filled', 'carburetor.checked', 'engine.ran', 'start.plain=runs'] as $late) {
            self::assertTrue(LookBack::isTime(self::told($late)), $late);
        }
    }

    private static function told(string $story, MachineKind $kind = MachineKind::Mower): CaseFile
    {
        $vocabulary = Vocabulary::shipped();
        $events = [];
        foreach (explode(' ', trim($story)) as $word) {
            $id = (string) strtok($word, '=');
            $outcome = str_contains($word, '=') ? substr($word, \strlen($id) + 1) : null;
            $events[] = match (true) {
                str_starts_with($word, '!') => new PutRight(substr($word, 1)),
                null === $outcome => new Done($vocabulary->act($id)),
                is_numeric($outcome) => Finding::number($id, (float) $outcome),
                default => Finding::observed($id, $outcome),
            };
        }
        foreach ($events as $event) {
            if ($event instanceof Finding) {
                $vocabulary->check($event);
            }
        }

        return new CaseFile(new MachineFacts($kind), $events);
    }

    private static function gatekeeper(): Gatekeeper
    {
        return new Gatekeeper(Vocabulary::shipped(), Closures::shipped());
    }

    private static function assessor(): Assessor
    {
        return new Assessor(FaultModel::shipped(), Vocabulary::shipped(), self::gatekeeper());
    }

    private static function progression(): Progression
    {
        return new Progression(Vocabulary::shipped(), self::gatekeeper(), GateWalk::shipped(Vocabulary::shipped(), self::gatekeeper()));
    }
}
