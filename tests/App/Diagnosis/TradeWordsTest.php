<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Diagnosis;

use AwakeShed\App\Diagnosis\Lexicon;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Shorthand;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** What a technician writes in short, as the trade says it, against the whole vocabulary. */
final class TradeWordsTest extends KernelTestCase
{
    /** @return iterable<string, array{string, string, bool, MachineKind}> what is written; what it means; whether that is plain */
    public static function written(): iterable
    {
        foreach ([
            ['plugged pilot', 'jet.pilot blocked', true], ['idle jet clogged', 'jet.pilot blocked', true], ['slow jet plugged', 'jet.pilot blocked', true], ['high speed jet plugged', 'jet.main blocked', true],
            ['stack plugged', 'jet.emulsion blocked', true], ['gummed up', 'bowl.inside film', false], ['crud', 'bowl.inside sediment', false], ['varnish', 'bowl.inside film', false], ['starting fluid', 'start.bypass fires_dies', false],
            ['fires on ether', 'start.bypass fires_dies', true], ['runs on carb spray', 'start.bypass runs_while_fed', true], ['hunts', 'run.steady surges_no_load', true], ['loads up', 'run.steady bogs', false], ['floods', 'needle.pressure leaks', false],
            ['overfilled', 'look.oil_level over_mark', false], ['oil low', 'look.oil_level below_mark', true], ['oil ok', 'look.oil_level at_mark', true], ['gas in oil', 'look.oil_smell gas', true], ['hydrolocked', 'feel.pull locked', true],
            ['fouled plug', 'look.plug sooty', true], ['kill switch', 'spark.kill_wire_off strong', false], ['spark good', 'spark.tester strong', true], ['no spark', 'spark.tester none', true], ['float ok', 'float.check sound', true],
            ['o-ring left', 'emulsion.rings left_in_bore', true], ['dirty', 'bowl.inside sediment', false], ['corroded', 'body.metal pitted', false], ['rusty', 'bowl.inside rust', false], ['green stuff', 'bowl.inside crystals', true],
            ['jelly', 'bowl.inside jelly', false], ['snot', 'bowl.inside jelly', false], ['runs and dies', 'start.plain fires_dies', true], ["won't idle", 'run.idle dies', true], ['dies under load', 'run.load dies', true],
            ['new plug fitted', 'plug.renewed', true], ['drained', 'crankcase.drained', false], ['cleaned', 'bowl.cleaned', false], ['filled', 'tank.filled', false], ['back on', 'carburetor.on', false], ['needle worn', 'needle.tip worn_or_soft', true],
            ['petcock plugged', 'look.tap shut_or_blocked', true], ['milky oil', 'look.oil_colour milky', true], ['sheared key', 'timing.flywheel_key sheared', true], ['mouse nest', 'look.air_filter nest', true], ['wet plug', 'look.plug gas_wet', true],
            ['compression good', 'compression.gauge good', true], ['air leak', 'intake.gasket leaks_on_spray', false], ['line cracked', 'look.fuel_line hard_or_cracked', true], ['cleaned slow jet', 'pilot.cleaned', true], ['carb off', 'carburetor.off', true],
        ] as [$line, $meant, $isPlain]) {
            yield $line => [$line, $meant, $isPlain, MachineKind::Mower];
        }
        yield 'dead man' => ['dead man', 'spark.safety_switch holds_it_off', false, MachineKind::RideOnMower];
        yield 'no output' => ['no output', 'gen.output none', true, MachineKind::Generator];
        yield 'pump froze' => ['pump froze', 'pump.state frozen_or_cracked', true, MachineKind::PressureWasher];
        yield 'diaphragm stiff' => ['diaphragm stiff', 'diaphragm.feel hard', true, MachineKind::TwoStrokeHandTool];
    }

    #[DataProvider('written')]
    public function testIsUnderstoodAndNothingIsTakenOnAGuess(string $line, string $meant, bool $isPlain, MachineKind $kind): void
    {
        $shorthand = self::shorthand($kind);
        $readings = array_map(self::id(...), $shorthand->readings($line));
        self::assertContains($meant, \array_slice($readings, 0, 2), implode(', ', $readings));
        $plain = $shorthand->plain($line);
        self::assertSame($isPlain ? $meant : null, null === $plain ? null : self::id($plain));
    }

    /** A hundred and more lines as they are written at the bench, put down before the words of the trade were looked at for them. */
    public function testNearlyEveryLineOfTheBenchIsOfferedAtOnce(): void
    {
        $lines = [
            MachineKind::Mower->value => [
                'pilot jet plugged solid' => ['jet.pilot blocked'], 'main jet clear' => ['jet.main clear'], 'main gummed' => ['jet.main blocked', 'jet.main partial'],
                'pickup tube clogged' => ['jet.pickup blocked'], 'nozzle plugged' => ['jet.emulsion blocked', 'washer.nozzle blocked'], 'passages clear' => ['passages.spray all_exit'],
                'transfer ports plugged' => ['passages.spray some_blocked'], 'bowl clean' => ['bowl.inside clean'], 'bowl full of rust' => ['bowl.inside rust'], 'water in bowl' => ['bowl.inside water'],
                'needle stuck' => ['needle.move stuck_shut'], 'needle sticky' => ['needle.move sticky'], 'needle leaks' => ['needle.pressure leaks'], 'seat swollen' => ['look.seat swollen'],
                'carb leaking' => ['leak.static bowl', 'leak.static overflow'], 'bowl leaks' => ['leak.static bowl'], 'gas dripping' => ['leak.static bowl', 'leak.static overflow'],
                'tank empty' => ['jar.tank empty'], 'old gas' => ['jar.smell varnish', 'jar.smell stale'], 'smells like varnish' => ['jar.smell varnish'], 'gas smells fresh' => ['jar.smell fresh'],
                'water in gas' => ['jar.tank two_layers'], 'phase separation' => ['jar.tank two_layers'], 'two layers' => ['jar.tank two_layers'], 'cloudy gas' => ['jar.tank hazy'],
                'rusty tank' => ['look.tank rust'], 'no flow' => ['flow.line none'], 'flow good' => ['flow.line pours'], 'trickles' => ['flow.line trickles'],
                'cap vent plugged' => ['flow.cap_open recovers', 'cap.vent_switch off'], 'loose cap cures it' => ['flow.cap_open recovers', 'run.minutes_later dies_cap_open_restarts'],
                'fuel filter dirty' => ['look.filter dirty'], 'primer cracked' => ['look.primer_bulb cracked'], 'primer bulb hard' => ['look.primer_bulb hard'], 'primer won\'t fill' => ['primer.press no_fill'],
                'choke stuck open' => ['choke.check stays_open'], 'choke stuck shut' => ['choke.check stays_closed'], 'choke works' => ['choke.check closes_and_opens'],
                'surges' => ['run.steady surges_no_load'], 'surging at idle' => ['run.steady surges_no_load'], 'bogs down' => ['run.steady bogs', 'run.load sags'],
                'overspeeds' => ['run.steady overspeeds', 'run.speed high'], 'runs good' => ['run.steady steady', 'start.plain runs'], 'runs great' => ['run.steady steady', 'start.plain runs'],
                'starts first pull' => ['start.plain runs'], 'won\'t start' => ['start.plain nothing'], 'no start' => ['start.plain nothing'], 'fires then dies' => ['start.plain fires_dies'],
                'pops once and quits' => ['start.plain fires_dies'], 'backfires' => ['start.plain backfires'], 'blue smoke' => ['run.smoke persists'], 'smokes' => ['run.smoke persists'],
                'smoke cleared up' => ['run.smoke clears'], 'quits after ten minutes' => ['run.minutes_later fades_and_dies'],
                'dies when hot' => ['run.minutes_later hot_no_restart', 'run.minutes_later fades_and_dies'], 'won\'t restart hot' => ['run.minutes_later hot_no_restart'],
                'compression low' => ['compression.gauge low'], 'no compression' => ['compression.gauge none'], 'weak spark' => ['spark.tester weak'], 'stuck valve' => ['valve.lash stuck_valve'],
                'bent pushrod' => ['valve.travel pushrod_bent'], 'lash out' => ['valve.lash out_of_range'], 'key sheared' => ['timing.flywheel_key sheared'], 'bent crank' => ['crank.true bent'],
                'bent blade' => ['look.blade gouged_or_bent'], 'rope broke' => ['recoil.rope missing_or_broken'], 'pull cord snapped' => ['recoil.rope missing_or_broken'],
                'battery dead' => ['battery.volts dead'], 'muffler plugged' => ['look.muffler blocked'], 'hose off' => ['look.prior_work hose_off'], 'missing part' => ['look.prior_work part_missing'],
                'someone was in it' => ['look.prior_work part_missing', 'claim.someone_tried yes'], 'mouse nest under shroud' => ['look.cooling nest'], 'linkage in wrong hole' => ['linkage.check wrong_hole'],
                'spring off' => ['linkage.check off'], 'throttle cable short' => ['cable.throttle short_or_stretched'], 'idle too low' => ['run.idle dies'],
                'oil changed' => ['crankcase.filled', 'crankcase.drained'], 'drained the tank' => ['tank.drained'], 'fresh gas' => ['tank.filled', 'jar.smell fresh'],
                'new needle' => ['needle_and_seat.renewed', 'needle.renewed'], 'air filter dirty' => ['look.air_filter dusty'], 'filter soaked in oil' => ['look.air_filter oil_soaked'],
                'no air filter' => ['look.air_filter none_fitted'], 'cleaned main jet' => ['main_jet.cleaned'], 'ring left behind' => ['emulsion.rings left_in_bore'],
                'slow jet partly plugged' => ['jet.pilot partial', 'jet.pilot blocked'], 'idle circuit gummed' => ['jet.pilot blocked', 'jet.pilot partial'], 'float bowl dirty' => ['bowl.inside sediment'],
                'white powder in bowl' => ['bowl.inside crystals'], 'green crud in bowl' => ['bowl.inside crystals', 'bowl.inside sediment'], 'gas in the crankcase' => ['look.oil_smell gas'],
                'oil smells fine' => ['look.oil_smell none'], 'oil is over the mark' => ['look.oil_level over_mark'], 'oil way too high' => ['look.oil_level far_over', 'look.oil_level over_mark'],
                'no oil on dipstick' => ['look.oil_level below_mark'], 'plug is black' => ['look.plug sooty'], 'plug gap ok' => ['look.plug like_new'], 'good blue spark' => ['spark.tester strong'],
                'no spark with new plug' => ['spark.known_good_plug no_change', 'spark.tester none'], 'sparks with kill wire off' => ['spark.kill_wire_off strong'],
                'coil dead' => ['spark.coil_swap spark_now', 'spark.coil_ohms open'], 'flywheel key ok' => ['timing.flywheel_key whole'], 'dies when choke opened' => ['run.choke_off dies'],
                'only runs on choke' => ['run.choke_off dies'], 'runs on prime only' => ['start.bypass runs_while_fed', 'start.bypass fires_dies'], 'fuel line brittle' => ['look.fuel_line hard_or_cracked'],
                'wrong fuel line' => ['look.fuel_line wrong_kind'], 'fuel line soft' => ['look.fuel_line supple'], 'gas trickles from line' => ['flow.line trickles'],
                'line flows then slows' => ['flow.line pours_then_fades'], 'tap works' => ['look.tap open_and_flows'], 'piston seized' => ['feel.pull locked', 'pull.plug_out locked'],
                'engine locked' => ['feel.pull locked'],
            ],
            MachineKind::RideOnMower->value => [
                'just clicks' => ['start.electric clicks'], 'cranks slow' => ['start.electric cranks_slowly'], 'fuel pump dead' => ['pump.fuel_pulse none'],
            ],
            MachineKind::TwoStrokeHandTool->value => [
                'spark arrestor clogged' => ['look.muffler blocked'], 'straight gas' => ['look.mix none'], 'scored piston' => ['look.bore scored'],
            ],
            MachineKind::PressureWasher->value => [
                'no pressure' => ['washer.pressure none'], 'pulsing' => ['washer.pressure pulses'], 'unloader stuck' => ['washer.unloader stuck_open', 'washer.unloader stuck_closed'],
                'tip worn' => ['washer.nozzle worn'],
            ],
            MachineKind::Generator->value => [
                'breaker tripped' => ['gen.breaker tripped'], 'flashed the field' => ['gen.flash output_returns', 'gen.flash no_change'], 'brushes worn' => ['gen.brushes worn_or_stuck'],
                'voltage low' => ['gen.output low'], 'hz low' => ['gen.frequency low'],
            ],
        ];
        $all = $missed = [];
        foreach ($lines as $kind => $ofKind) {
            $shorthand = self::shorthand(MachineKind::from($kind));
            foreach ($ofKind as $line => $meant) {
                $all[] = $line;
                if ([] === array_intersect($meant, array_map(self::id(...), $shorthand->readings($line, 2)))) {
                    $missed[] = $line;
                }
                $plain = $shorthand->plain($line);
                self::assertContains(null === $plain ? $meant[0] : self::id($plain), $meant, "$line is taken for something else");
            }
        }
        self::assertGreaterThan(100, \count($all));
        self::assertLessThanOrEqual(0.05 * \count($all), \count($missed), implode('; ', $missed));
    }

    public function testEveryPhraseMeansSomethingOnSomeMachine(): void
    {
        $path = \dirname(__DIR__, 3).'/core/Evidence/data/trade-words.json';
        $data = json_decode((string) file_get_contents($path), true, 8, \JSON_THROW_ON_ERROR);
        self::assertIsArray($data);
        self::assertIsArray($data['phrases']);
        $machines = array_map(self::shorthand(...), MachineKind::cases());
        foreach ($data['phrases'] as $entry) {
            self::assertIsArray($entry);
            self::assertIsArray($entry['say']);
            self::assertIsArray($entry['means']);
            foreach ($entry['say'] as $phrase) {
                self::assertIsString($phrase);
                $found = array_merge(...array_map(static fn (Shorthand $shorthand): array => array_map(self::id(...), $shorthand->readings($phrase, 2)), $machines));
                self::assertContains($entry['means'][0], $found, $phrase);
            }
        }
    }

    private static function id(Finding|Done $meant): string
    {
        return $meant instanceof Done ? $meant->act->id : $meant->test.' '.($meant->outcomes[0] ?? '');
    }

    private static function shorthand(MachineKind $kind): Shorthand
    {
        $lexicon = self::getContainer()->get(Lexicon::class);
        self::assertInstanceOf(Lexicon::class, $lexicon);

        return $lexicon->forMachine(new MachineFacts($kind, electricStart: true));
    }
}
