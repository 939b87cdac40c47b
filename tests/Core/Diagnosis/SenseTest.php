<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\AccessFrom;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Diagnosis\Sense;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Nothing is suggested that cannot be made, or that is answered already; and what is, costs what it costs from here. */
final class SenseTest extends TestCase
{
    /** @return iterable<string, array{array<string, string|int>, list<string>, string|MachineFacts, list<PutRight|Done>}> found, tests never suggested then, machine, done since */
    public static function senseless(): iterable
    {
        $gates = Assessing::GATES;
        $done = static fn (string $act): Done => new Done(Vocabulary::shipped()->act($act));
        $running = ['run.steady', 'run.choke_off', 'run.load', 'run.minutes_later', 'run.smoke', 'run.idle', 'run.speed'];
        yield 'it has not run yet' => [$gates, $running, 'mower', []];
        yield 'it does not start' => [$gates + ['start.plain' => 'nothing'], $running, 'mower', []];
        yield 'it fires and dies' => [$gates + ['start.plain' => 'fires_dies'], $running, 'mower', []];
        yield 'no volts before it runs' => [$gates + ['start.plain' => 'nothing'], ['gen.output', 'gen.frequency'], 'generator', []];
        yield 'no pressure before it runs' => [$gates + ['start.plain' => 'nothing'], ['washer.pressure'], 'pressure_washer', []];
        yield 'a felt pull has shown the cord' => [$gates, ['recoil.rope', 'pull.plug_out'], 'mower', []];
        yield 'no starter on it' => [[], ['start.electric', 'battery.volts'], new MachineFacts(MachineKind::Snowblower, electricStart: false), []];
        yield 'nobody spoke of a starter' => [[], ['start.electric', 'battery.volts'], 'mower', []];
        yield 'a starter on the mains has no battery' => [[], ['battery.volts'], new MachineFacts(MachineKind::Snowblower, electricStart: true), []];
        yield 'a ride-on has no cord' => [[], ['recoil.rope'], 'ride_on_mower', []];
        yield 'a choke worked by hand' => [$gates, ['autochoke.check'], new MachineFacts(MachineKind::Mower, choke: ChokeKind::Manual), []];
        yield 'the kill circuit was put right' => [$gates + ['spark.tester' => 'none', 'spark.kill_wire_off' => 'strong', 'spark.stop_switch' => 'closed_in_run'], ['cable.brake'], 'mower', [new PutRight('spark.kill_grounded')]];
        yield 'the fuel was poured away' => [$gates + ['jar.smell' => 'varnish'], ['jar.smell', 'jar.tank', 'flow.line', 'start.plain'], 'mower', [$done('tank.drained')]];
        yield 'an empty tank' => [$gates + ['jar.tank' => 'empty'], ['jar.smell', 'jar.lower_layer_after_water', 'flow.line', 'flow.bowl_drain', 'start.plain'], 'mower', []];
        yield 'it sparks' => [$gates + ['start.plain' => 'nothing', 'spark.tester' => 'strong'], ['spark.kill_wire_off', 'spark.stop_switch', 'spark.coil_swap', 'spark.coil_ohms', 'spark.coil_gap'], 'mower', []];
        yield 'it sparks with the kill wire off' => [$gates + ['spark.tester' => 'none', 'spark.kill_wire_off' => 'strong'], ['spark.coil_swap', 'spark.coil_ohms', 'spark.coil_gap'], 'mower', []];
        yield 'it does not spark' => [$gates + ['spark.tester' => 'none'], ['start.plain', 'start.bypass'], 'mower', []];
        yield 'nothing to repeat' => [$gates + ['start.plain' => 'nothing', 'start.bypass' => 'runs_while_fed'], ['start.bypass_repeat'], 'mower', []];
        yield 'a line that pours' => [$gates + ['flow.line' => 'pours'], ['flow.cap_open'], 'mower', []];
        yield 'output is right' => [$gates + ['start.plain' => 'runs', 'gen.output' => 'right'], ['gen.flash', 'gen.brushes', 'gen.breaker'], 'generator', []];
        yield 'the primer is new' => [$gates + ['primer.press' => 'leaks'], ['look.primer_bulb', 'primer.press'], 'mower', [$done('primer.renewed'), new PutRight('primer.failed')]];
        yield 'a membrane carburetor' => [['start.plain' => 'nothing', 'spark.tester' => 'strong'], ['float.check', 'jet.pickup', 'jet.emulsion', 'bowl.inside', 'flow.bowl_drain', 'jet.bowl_nut', 'emulsion.rings', 'insert.seat', 'solenoid.check', 'look.oil_level', 'valve.lash', 'look.breather'], 'two_stroke_hand_tool', []];
    }

    /**
     * @param array<string, string|int> $findings
     * @param list<string>              $never
     * @param list<PutRight|Done>       $then
     */
    #[DataProvider('senseless')]
    public function testIsNotSuggested(array $findings, array $never, string|MachineFacts $machine, array $then): void
    {
        $next = array_column(Assessing::of($findings, $machine, ...$then)->next, 'test');
        self::assertSame([], array_values(array_intersect($never, $next)), implode(', ', $next));
    }

    public function testTheIdleScrewComesBeforeThePilotJet(): void
    {
        $dies = Assessing::GATES + ['start.plain' => 'runs', 'run.steady' => 'steady', 'run.choke_off' => 'steady', 'run.load' => 'holds', 'run.idle' => 'dies'];
        self::assertNotContains('jet.pilot', array_column(Assessing::of($dies, 'mower')->next, 'test'), 'the screw is free, the jet half an hour');
        $set = Assessing::case(Assessing::GATES + ['start.plain' => 'runs'], 'mower', new Done(Vocabulary::shipped()->act('idle.set')));
        foreach (array_diff_key($dies, Assessing::GATES, ['start.plain' => true]) as $test => $outcome) {
            $set = $set->with(Finding::observed($test, $outcome));
        }
        self::assertContains('jet.pilot', array_column(Assessing::assessor()->assess($set)->next, 'test'), 'set, and it still dies');
    }

    public function testAJetCostsItsWayInOnce(): void
    {
        $starved = Assessing::GATES + ['claim.idle_months' => 24, 'claim.layup' => 'fuel_left_in', 'start.plain' => 'fires_dies', 'start.bypass' => 'runs_while_fed', 'flow.line' => 'pours', 'jar.smell' => 'fresh', 'choke.check' => 'closes_and_opens'];
        $shut = self::named(Assessing::of($starved, 'mower')->next, 'jet.pilot');
        // Housing, line, linkage and the carburetor itself: 25 min on a mower, and the jet's own five.
        self::assertSame([5.0, 30.0, ['air_filter_housing', 'fuel_line', 'linkage', 'carburetor', 'bowl']], [$shut->minutes, $shut->minutesHere, $shut->parts]);
        $open = self::named(Assessing::of($starved, 'mower', new Done(Vocabulary::shipped()->act('bowl.off')))->next, 'jet.pilot');
        self::assertSame([5.0, 5.0, []], [$open->minutes, $open->minutesHere, $open->parts]);
        // Behind a heater box it is further, and further still where the whole cover comes off.
        self::assertContains('heater_box', self::named(Assessing::of($starved, 'snowblower')->next, 'jet.pilot')->parts);
        self::assertGreaterThan($shut->minutesHere, self::named(Assessing::of($starved, 'inverter_generator')->next, 'jet.pilot')->minutesHere);
        $bowlOnly = Assessing::assessor()->assess(new CaseFile(new MachineFacts(MachineKind::Mower), Assessing::case($starved, 'mower')->events, ['carb_access' => 'bowl_only']));
        self::assertSame([13.0, ['bowl']], [self::named($bowlOnly->next, 'jet.pilot')->minutesHere, self::named($bowlOnly->next, 'jet.pilot')->parts]);
    }

    public function testWhatIsProvedIsLeftAlone(): void
    {
        $proved = Assessing::GATES + ['start.plain' => 'runs', 'run.steady' => 'steady', 'run.choke_off' => 'steady', 'run.load' => 'holds', 'run.minutes_later' => 'keeps_running', 'run.smoke' => 'none', 'run.idle' => 'holds', 'run.speed' => 'right'];
        self::assertSame([], Assessing::of($proved, 'mower')->next);
        self::assertNotSame([], Assessing::of(['run.smoke' => 'persists'] + $proved, 'mower')->next, 'but not where something points at something');
        self::assertNotSame([], Assessing::of($proved, 'mower', new PutRight('carb.main_jet_blocked'))->next, 'nor where it was worked on since');
    }

    /** A starter is looked at where the kind has one, where somebody said so, and where one was tried. */
    public function testAStarterIsTriedWhereThereIsOne(): void
    {
        $sense = Sense::shipped(Vocabulary::shipped());
        $makes = static fn (MachineFacts $machine, string ...$findings): bool => $sense->has('start.electric', $case = Assessing::case([] === $findings ? [] : ['start.electric' => $findings[0]], $machine), new AccessFrom(Vocabulary::shipped(), $case, [], []));
        self::assertTrue($makes(new MachineFacts(MachineKind::RideOnMower)));
        self::assertFalse($makes(new MachineFacts(MachineKind::Mower)));
        self::assertFalse($makes(new MachineFacts(MachineKind::Mower, electricStart: false)));
        self::assertTrue($makes(new MachineFacts(MachineKind::Mower, electricStart: true)));
        self::assertTrue($makes(new MachineFacts(MachineKind::Mower), 'clicks'));
    }

    /** @param list<NextTest> $next */
    private static function named(array $next, string $test): NextTest
    {
        foreach ($next as $one) {
            if ($one->test === $test) {
                return $one;
            }
        }
        self::fail("$test is not suggested.");
    }
}
