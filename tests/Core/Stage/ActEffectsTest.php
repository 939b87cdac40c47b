<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Stage;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Stage\ActEffects;
use AwakeShed\Core\Stage\ImpossibleAct;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ActEffectsTest extends TestCase
{
    public function testAFigureIsTakenToBothEndsOfItsIntervalAndNoFurther(): void
    {
        foreach (['ml' => [1, 100_000], 'minutes' => [1, 600], 'times' => [1, 20], 'pulls' => [1, 50], 'turns' => [0, 10], 'mm' => [0, 5], 'rpm' => [500, 15_000]] as $figure => [$least, $most]) {
            self::assertSame([(float) $least, (float) $most], ActEffects::shipped()->bounds($figure));
            self::assertSame(['taken', 'taken', 'act.out_of_range', 'act.out_of_range'], array_map(static fn (float $value): string => self::becomes($figure, $value), [(float) $least, (float) $most, $least - 0.01, $most + 0.01]), $figure);
        }
        self::assertNull(ActEffects::shipped()->bounds('furlongs'));
    }

    public function testWhatIsNoNumberOrNoFigureIsRefused(): void
    {
        self::assertSame('taken', self::becomes('ml', '700'));
        self::assertSame('act.out_of_range', self::becomes('ml', 'much'));
        self::assertSame('act.out_of_range', self::becomes('ml', [700]));
        self::assertSame('act.figure_missing', self::becomes('furlongs', 3));
    }

    public function testAnActThatHasNoEffectsHasNone(): void
    {
        $effects = ActEffects::shipped();
        self::assertSame([null, [], false, null], [$effects->wait('paint.dried'), $effects->ends('paint.dried'), $effects->takesOil('paint.dried'), $effects->gated('paint.dried')]);
        self::assertSame([['kind' => 'drain_oil', 'minutes' => 15], ['burn_off'], false], [$effects->wait('crankcase.drained'), $effects->ends('crankcase.drained'), $effects->takesOil('crankcase.drained')]);
        self::assertTrue($effects->takesOil('crankcase.filled'));
        self::assertSame(['start.plain', 'pull.ejecta', 'gen.flash', null], array_map($effects->gated(...), ['engine.ran', 'cylinder.expelled', 'generator.flashed', 'bowl.drained']), 'what runs or throws out passes the gates of its test');
    }

    /** @return iterable<string, array{string, list<Finding|Done>, WasteStream|null}> */
    public static function poured(): iterable
    {
        $drained = new Done(Vocabulary::shipped()->act('tank.drained'));
        $jar = static fn (string $looks): Finding => Finding::observed('jar.tank', $looks);
        $smell = static fn (string $smell): Finding => Finding::observed('jar.smell', $smell);
        yield 'fuel nobody looked at' => ['tank.drained', [], WasteStream::StaleGasoline];
        yield 'fuel that is clear and smells fresh is kept' => ['tank.drained', [$jar('clear_one_layer'), $smell('fresh')], null];
        yield 'clear, and nobody smelled it' => ['tank.drained', [$jar('clear_one_layer')], WasteStream::StaleGasoline];
        yield 'fresh by its smell, and nobody looked' => ['tank.drained', [$smell('fresh')], WasteStream::StaleGasoline];
        yield 'clear and stale' => ['tank.drained', [$jar('clear_one_layer'), $smell('stale')], WasteStream::StaleGasoline];
        yield 'two layers' => ['tank.drained', [$jar('two_layers')], WasteStream::GasolineWater];
        yield 'two layers, and an act has silenced the look' => ['line.flushed', [$jar('two_layers'), $drained], WasteStream::GasolineWater];
        yield 'fresh after two layers' => ['tank.drained', [$jar('two_layers'), $jar('clear_one_layer'), $smell('fresh')], null];
        yield 'beads in the bowl' => ['bowl.drained', [Finding::observed('flow.bowl_drain', 'water_beads')], WasteStream::GasolineWater];
        yield 'oil' => ['crankcase.drained', [], WasteStream::UsedOil];
        yield 'oil with gas in it' => ['crankcase.drained', [Finding::observed('look.oil_smell', 'gas')], WasteStream::OilGasoline];
        yield 'thrown out of a cylinder' => ['cylinder.expelled', [Finding::observed('pull.ejecta', 'mixture')], WasteStream::OilGasoline];
        yield 'nothing is poured off' => ['bowl.on', [$jar('two_layers')], null];
    }

    /** @param list<Finding|Done> $events */
    #[DataProvider('poured')]
    public function testWhatIsPouredOffHasItsCan(string $act, array $events, ?WasteStream $stream): void
    {
        self::assertSame($stream, ActEffects::shipped()->stream($act, new CaseFile(new MachineFacts(MachineKind::Mower), $events)));
    }

    private static function becomes(string $figure, mixed $value): string
    {
        try {
            ActEffects::shipped()->check(new Done(Vocabulary::shipped()->act('crankcase.drained'), [$figure => $value]));
        } catch (ImpossibleAct $refusal) {
            return $refusal->reason();
        }

        return 'taken';
    }
}
