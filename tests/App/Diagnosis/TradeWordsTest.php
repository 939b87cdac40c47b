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
