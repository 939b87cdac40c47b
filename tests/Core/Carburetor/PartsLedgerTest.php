<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Carburetor;

use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\Condition;
use AwakeShed\Core\Carburetor\CoverCheck;
use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartFate;
use AwakeShed\Core\Carburetor\PartKind;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Carburetor\RemovalTemplate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PartsLedgerTest extends TestCase
{
    public function testPartsComeOffInTheOrderOfTheTypeAndGoBackInReverse(): void
    {
        foreach (Carburetors::shipped()->types as $type) {
            $ledger = self::begun($type->id);
            self::assertFalse($ledger->isApart(), 'begun, nothing is off yet');
            $off = [];
            while ([] !== $ledger->stillOn()) {
                $off[] = $ledger->stillOn()[0]->id;
                $ledger = $ledger->after(self::takeOff($ledger->stillOn()[0]));
            }
            self::assertSame(array_map(static fn (PartKind $kind): string => $kind->id, $type->parts), $off);
            self::assertTrue($ledger->isApart());
            self::assertSame(range(\count($off), 1), array_map(static fn (Part $part): int => $part->place, $ledger->onMat()));
            foreach ($ledger->onMat() as $part) {
                $ledger = $ledger->after(new Move(MoveKind::On, $part->place));
            }
            self::assertSame([], $ledger->onMat());
            self::assertTrue($ledger->isApart(), 'everything is on, and nothing is checked');
            $ledger = self::allChecked($ledger)->after(new Move(MoveKind::Close));
            self::assertFalse($ledger->isApart());
            self::assertTrue($ledger->wasClosed);
        }
    }

    public function testAForgottenSpringKeepsTheLedgerOpen(): void
    {
        $ledger = self::begun('bowl_brass')
            ->after(new Move(MoveKind::Off, said: ['kind' => 'filter_base']))
            ->after(new Move(MoveKind::Off, said: ['kind' => 'governor_spring', 'hole' => 'second from the top']))
            ->after(new Move(MoveKind::On, 1));
        self::refused('strip.parts_left', static fn () => $ledger->after(new Move(MoveKind::Check, said: ['check' => 'linkage'])));
        self::refused('strip.not_closable', static fn () => $ledger->after(new Move(MoveKind::Close)));
        self::assertSame(['governor_spring'], array_map(static fn (Part $part): ?string => $part->kind, $ledger->onMat()));
        $ledger = $ledger->after(new Move(MoveKind::On, 2));
        self::refused('strip.not_closable', static fn () => $ledger->after(new Move(MoveKind::Close)));
        self::assertFalse(self::allChecked($ledger)->after(new Move(MoveKind::Close))->isOpen);
    }

    public function testAPartThatMovesUndoesTheCheckAndANoteDoesNot(): void
    {
        $ledger = self::begun('bowl_nut')->after(new Move(MoveKind::Off, said: ['kind' => 'bowl_nut']))->after(new Move(MoveKind::On, 1));
        $checked = self::allChecked($ledger);
        self::assertSame([], $checked->checksLeft());
        self::assertSame([], $checked->after(new Move(MoveKind::Note, 1, ['size' => '13 mm']))->checksLeft());
        self::assertNotSame([], $checked->after(new Move(MoveKind::Off, said: ['kind' => 'bowl']))->checksLeft());
    }

    public function testALinkageDoesNotComeOffBeforeItsHoleIsWrittenDown(): void
    {
        $ledger = self::begun('bowl_brass');
        self::refused('strip.unknown_hole', static fn () => $ledger->after(new Move(MoveKind::Off, said: ['kind' => 'governor_link'])));
        self::refused('strip.unknown_hole', static fn () => $ledger->after(new Move(MoveKind::Off, said: ['kind' => 'governor_link', 'hole' => ''])));
        self::assertSame('middle', $ledger->after(new Move(MoveKind::Off, said: ['kind' => 'governor_link', 'hole' => 'middle']))->parts[1]->notes['hole']);
    }

    public function testTheGasketStackGoesOnInReverseOrderOnly(): void
    {
        $ledger = self::begun('bowl_brass');
        foreach (['carburetor_gasket', 'insulator', 'head_gasket'] as $kind) {
            $ledger = $ledger->after(new Move(MoveKind::Off, said: ['kind' => $kind]));
        }
        self::assertSame(['head_gasket', 'insulator', 'carburetor_gasket'], array_map(static fn (Part $part): ?string => $part->kind, $ledger->stacks()['intake']));
        self::refused('strip.under', static fn () => $ledger->after(new Move(MoveKind::On, 2)));
        $on = $ledger->after(new Move(MoveKind::On, 3))->after(new Move(MoveKind::On, 2))->after(new Move(MoveKind::On, 1));
        self::assertSame([], $on->onMat());
    }

    public function testADiaphragmTypeHasTwoSpringStacksThatDoNotWaitForEachOther(): void
    {
        $ledger = self::begun('diaphragm');
        foreach (['metering_diaphragm', 'metering_gasket', 'pump_gasket', 'pump_diaphragm'] as $kind) {
            $ledger = $ledger->after(new Move(MoveKind::Off, said: ['kind' => $kind]));
        }
        self::assertSame(['pump', 'metering'], array_keys($ledger->stacks()));
        self::refused('strip.under', static fn () => $ledger->after(new Move(MoveKind::On, 1)));
        self::assertCount(2, $ledger->after(new Move(MoveKind::On, 2))->after(new Move(MoveKind::On, 1))->onMat(), 'the metering side is together, the pump side still lies there');
    }

    public function testCoversMayWaitUntilTheBareFirstRunIsOver(): void
    {
        $ledger = self::begun('bowl_brass')
            ->after(new Move(MoveKind::Off, said: ['kind' => 'filter_base']))
            ->after(new Move(MoveKind::Off, said: ['kind' => 'bowl']))
            ->after(new Move(MoveKind::On, 2));
        $closed = self::allChecked($ledger)->after(new Move(MoveKind::Close));
        self::assertFalse($closed->isApart());
        self::assertCount(1, $closed->onMat());
        self::assertSame([], $closed->after(new Move(MoveKind::On, 1))->onMat());
        self::refused('strip.not_begun', static fn () => $closed->after(new Move(MoveKind::Off, said: ['kind' => 'bowl_bolt'])));
    }

    public function testHolesThatAreCountedProveThePassage(): void
    {
        $ledger = self::begun('plastic_pilot')->after(new Move(MoveKind::Holes, said: ['passage' => 'emulsion', 'holes' => '5']));
        self::assertSame('partly', $ledger->passage('emulsion')?->word());
        $ledger = $ledger->after(new Move(MoveKind::Holes, said: ['passage' => 'emulsion', 'holes' => '6']));
        self::assertSame('proved', $ledger->passage('emulsion')?->word());
        self::assertSame(['clear'], $ledger->finding('emulsion')?->outcomes);
    }

    /** @param array<string, string> $said */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsRefusedByName(string $reason, MoveKind $kind, ?int $place, array $said): void
    {
        $ledger = self::begun('plastic_pilot')->after(new Move(MoveKind::Off, said: ['kind' => 'pilot_jet']))->after(new Move(MoveKind::Off, said: ['name' => 'Spacer', 'material' => 'aluminium']))->after(new Move(MoveKind::On, 2));
        self::refused($reason, static fn () => $ledger->after(new Move($kind, $place, $said)));
    }

    /** @return iterable<string, array{string, MoveKind, int|null, array<string, string>}> */
    public static function impossible(): iterable
    {
        yield 'a second ledger' => ['strip.begun_already', MoveKind::Begin, null, ['type' => 'free']];
        yield 'a part of another type' => ['strip.no_such', MoveKind::Off, null, ['kind' => 'metering_lever']];
        yield 'a part without a name' => ['strip.nameless', MoveKind::Off, null, ['name' => ' ', 'material' => 'brass']];
        yield 'a name without end' => ['strip.nameless', MoveKind::Off, null, ['name' => str_repeat('x', 81), 'material' => 'brass']];
        yield 'a material nobody knows' => ['strip.no_such', MoveKind::Off, null, ['name' => 'Clip', 'material' => 'cheese']];
        yield 'an empty place' => ['strip.no_such_place', MoveKind::Condition, 9, ['condition' => 'film']];
        yield 'a place that is taken' => ['strip.no_such_place', MoveKind::Off, 1, ['kind' => 'pilot_ring']];
        yield 'on twice' => ['strip.already_on', MoveKind::On, 2, []];
        yield 'a condition nobody knows' => ['strip.no_such', MoveKind::Condition, 1, ['condition' => 'tired']];
        yield 'a fate nobody knows' => ['strip.no_such', MoveKind::Keep, 1, ['keep' => 'pray']];
        yield 'plastic into the bath' => ['strip.kept_out.swells_or_cracks', MoveKind::Clean, 1, ['method' => 'ultrasonic']];
        yield 'plastic into solvent' => ['strip.kept_out.solvent_attacks', MoveKind::Clean, 1, ['method' => 'spray']];
        yield 'an exit of another passage' => ['strip.no_such', MoveKind::Through, null, ['passage' => 'pilot', 'exit' => 'nozzle']];
        yield 'more holes than there are' => ['strip.out_of_range', MoveKind::Holes, null, ['passage' => 'emulsion', 'holes' => '7']];
        yield 'a check nobody knows' => ['strip.no_such', MoveKind::Check, null, ['check' => 'luck']];
    }

    public function testBeforeALedgerIsBegunNothingIsDone(): void
    {
        $none = Carburetors::shipped()->ledger([]);
        self::refused('strip.not_begun', static fn () => $none->after(new Move(MoveKind::Off, said: ['name' => 'Clip', 'material' => 'steel'])));
        self::refused('strip.no_such', static fn () => $none->after(new Move(MoveKind::Begin, said: ['type' => 'steam'])));
        self::assertFalse($none->isApart());
    }

    public function testAPassageIsProvedByEveryExitAndEveryHole(): void
    {
        $ledger = self::begun('bowl_brass');
        $word = static fn (PartsLedger $ledger, string $passage): ?string => $ledger->passage($passage)?->word();
        self::assertSame('untried', $word($ledger, 'pilot'));
        foreach (['idle_port' => 'partly', 'transfer_1' => 'partly', 'transfer_2' => 'proved'] as $exit => $expected) {
            $ledger = $ledger->after(new Move(MoveKind::Through, said: ['passage' => 'pilot', 'exit' => $exit]));
            self::assertSame($expected, $word($ledger, 'pilot'));
        }
        self::assertSame('clear', $ledger->finding('pilot')?->outcome());
        $ledger = $ledger->after(new Move(MoveKind::Blocked, said: ['passage' => 'pilot']));
        self::assertSame(['blocked', 'partial'], [$word($ledger, 'pilot'), $ledger->finding('pilot')?->outcome()]);
        $ledger = $ledger->after(new Move(MoveKind::Through, said: ['passage' => 'pilot', 'exit' => 'transfer_1']));
        self::assertSame(['partly', ['idle_port', 'transfer_2']], [$word($ledger, 'pilot'), $ledger->passage('pilot')?->missing()], 'what came before it was blocked no longer counts');

        $ledger = $ledger->after(new Move(MoveKind::Through, said: ['passage' => 'emulsion', 'exit' => 'emulsion_holes']))->after(new Move(MoveKind::Holes, said: ['passage' => 'emulsion', 'holes' => '6']));
        self::assertSame('partly', $word($ledger, 'emulsion'), 'two of eight holes are shut');
        self::assertNull($ledger->finding('emulsion'));
        self::assertSame('proved', $word($ledger->after(new Move(MoveKind::Holes, said: ['passage' => 'emulsion', 'holes' => '8'])), 'emulsion'));
    }

    public function testTwoPassagesOfOneTestAreClearOnlyTogether(): void
    {
        $ledger = self::begun('bowl_nut')->after(new Move(MoveKind::Through, said: ['passage' => 'nut_side', 'exit' => 'nozzle']));
        self::assertNull($ledger->finding('nut_side'));
        self::assertSame('clear', $ledger->after(new Move(MoveKind::Through, said: ['passage' => 'nut_top', 'exit' => 'idle_well']))->finding('nut_side')?->outcome());
        self::assertSame('partial', $ledger->after(new Move(MoveKind::Blocked, said: ['passage' => 'nut_top']))->finding('nut_side')?->outcome());
        self::assertSame('clogged', self::begun('diaphragm')->after(new Move(MoveKind::Blocked, said: ['passage' => 'inlet']))->finding('inlet')?->outcome());
    }

    public function testWhatWasTakenBackNeverLeavesARecordThatCannotBeRead(): void
    {
        $moves = [new Move(MoveKind::Begin, said: ['type' => 'snap_in']), new Move(MoveKind::Off, 1, ['kind' => 'filter_base']), new Move(MoveKind::Off, 2, ['kind' => 'bowl']), new Move(MoveKind::Condition, 2, ['condition' => 'film']), new Move(MoveKind::On, 2), new Move(MoveKind::On, 1)];
        foreach (array_keys($moves) as $without) {
            $left = $moves;
            unset($left[$without]);
            $ledger = Carburetors::shipped()->ledger(array_values($left));
            self::assertLessThanOrEqual(2, \count($ledger->parts));
        }
        $ledger = Carburetors::shipped()->ledger([$moves[0], $moves[2], $moves[3]]);
        self::assertSame([2, Condition::Film], [$ledger->parts[2]->place, $ledger->parts[2]->condition]);
        self::assertSame(3, $ledger->nextPlace());
    }

    public function testAMoveIsStoredAndReadAsItWas(): void
    {
        $move = new Move(MoveKind::Off, 4, ['kind' => 'bowl', 'orientation' => 'low side from the hinge']);
        self::assertEquals($move, Move::fromArray($move->toArray()));
    }

    public function testAConditionAdvisesWhatBecomesOfAPartAndADecisionOverrulesIt(): void
    {
        $ledger = self::begun('bowl_brass')->after(new Move(MoveKind::Off, said: ['kind' => 'bowl_gasket']))->after(new Move(MoveKind::Condition, 1, ['condition' => 'hard']));
        self::assertSame(PartFate::Renew, $ledger->parts[1]->fate());
        self::assertCount(1, array_filter($ledger->parts, static fn (Part $part): bool => PartFate::Renew === $part->fate()));
        self::assertSame(PartFate::Reuse, $ledger->after(new Move(MoveKind::Keep, 1, ['keep' => 'reuse']))->parts[1]->fate());
    }

    public function testTheOrderOfAShopIsStoredAndBegunWith(): void
    {
        $ledger = self::begun('bowl_brass')
            ->after(new Move(MoveKind::Off, said: ['kind' => 'bowl_bolt', 'size' => '11 mm']))
            ->after(new Move(MoveKind::Off, said: ['name' => 'Collar', 'material' => 'brass', 'orientation' => 'step down']))
            ->after(new Move(MoveKind::Off, said: ['kind' => 'governor_link', 'hole' => 'upper']));
        $move = Move::fromArray((new Move(MoveKind::Begin, said: ['type' => 'bowl_brass'], order: RemovalTemplate::of($ledger)))->toArray());
        $next = Carburetors::shipped()->ledger([$move]);
        self::assertSame([['bowl_bolt', '', '11 mm'], ['own-2', 'Collar', null], ['governor_link', '', null]], array_map(static fn (PartKind $kind): array => [$kind->id, $kind->name, $kind->size], $next->stillOn()));
        self::assertSame(['orientation'], $next->stillOn()[1]->asks);
        self::assertNotSame([], $next->passages(), 'the type keeps its map');
        self::refused('strip.unknown_hole', static fn () => $next->after(new Move(MoveKind::Off, said: ['kind' => 'governor_link'])));
        $next = $next->after(new Move(MoveKind::Off, said: ['kind' => 'own-2', 'orientation' => 'step down']));
        self::assertSame(['Collar', 'brass'], [$next->parts[1]->name, $next->parts[1]->material->value]);
        $free = Carburetors::shipped()->ledger([new Move(MoveKind::Begin, said: ['type' => 'free'], order: RemovalTemplate::of($ledger))]);
        self::assertSame([3, []], [\count($free->stillOn()), $free->passages()]);
    }

    public function testSixtyPartsAreHeldAndALedgerHasAnEnd(): void
    {
        $ledger = self::begun(Carburetors::FREE);
        for ($part = 1; $part <= PartsLedger::MOST_PARTS; ++$part) {
            $ledger = $ledger->after(new Move(MoveKind::Off, said: ['name' => "Part $part", 'material' => 'steel']));
        }
        self::assertCount(PartsLedger::MOST_PARTS, $ledger->onMat());
        self::refused('strip.too_many', static fn () => $ledger->after(new Move(MoveKind::Off, said: ['name' => 'One more', 'material' => 'steel'])));
    }

    private static function begun(string $type): PartsLedger
    {
        return Carburetors::shipped()->ledger([new Move(MoveKind::Begin, said: ['type' => $type])]);
    }

    private static function takeOff(PartKind $kind): Move
    {
        return new Move(MoveKind::Off, said: ['kind' => $kind->id] + (\in_array('hole', $kind->asks, true) ? ['hole' => 'outer'] : []));
    }

    private static function allChecked(PartsLedger $ledger): PartsLedger
    {
        return array_reduce(Carburetors::shipped()->checks, static fn (PartsLedger $ledger, CoverCheck $check): PartsLedger => $ledger->after(new Move(MoveKind::Check, said: ['check' => $check->id])), $ledger);
    }

    /** @param \Closure(): mixed $try */
    private static function refused(string $reason, \Closure $try): void
    {
        try {
            $try();
            self::fail('It was taken: '.$reason);
        } catch (ImpossibleMove $refusal) {
            self::assertSame($reason, $refusal->reason());
        }
    }
}
