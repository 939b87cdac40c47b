<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Carburetor;

use AwakeShed\Core\Carburetor\Bench;
use AwakeShed\Core\Carburetor\Benches;
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
use AwakeShed\Core\Carburetor\PassageState;
use AwakeShed\Core\Carburetor\RemovalTemplate;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PartsLedgerTest extends TestCase
{
    public function testPartsComeOffInTheOrderOfTheTypeAndGoBackInReverse(): void
    {
        foreach (Carburetors::shipped()->types as $type) {
            $ledger = self::begun($type->id);
            self::assertFalse($ledger->isApart(), 'begun, nothing is off yet');
            $ledger->demandSaidElsewhere('carburetor.on');
            $off = [];
            while ([] !== $ledger->stillOn()) {
                $off[] = $ledger->stillOn()[0]->id;
                $ledger = $ledger->after(self::takeOff($ledger->stillOn()[0]));
            }
            self::assertSame(array_map(static fn (PartKind $kind): string => $kind->id, $type->parts), $off);
            self::assertTrue($ledger->isApart());
            self::refused('strip.at_the_bench', static fn () => $ledger->demandSaidElsewhere('carburetor.on'));
            $ledger->demandSaidElsewhere('crankcase.drained');
            self::assertSame(range(\count($off), 1), array_map(static fn (Part $part): int => $part->place, $ledger->onMat()));
            foreach ($ledger->onMat() as $part) {
                $ledger = $ledger->after(MoveKind::On->move($part->place));
            }
            self::assertSame([], $ledger->onMat());
            self::assertTrue($ledger->isApart(), 'everything is on, and nothing is checked');
            $ledger = self::allChecked($ledger)->after(MoveKind::Close->move());
            self::assertFalse($ledger->isApart());
            self::assertTrue($ledger->wasClosed);
        }
    }

    public function testEachBenchHasItsOwnKinds(): void
    {
        $benches = Benches::shipped(Vocabulary::shipped());
        foreach (Bench::cases() as $bench) {
            self::assertNotSame($bench, $bench->other());
            self::assertSame($bench, $bench->other()->other());
            self::assertSame([], array_intersect_key($benches->at($bench)->types, $benches->at($bench->other())->types));
        }
        $checks = static fn (Bench $bench): array => array_map(static fn (CoverCheck $check): string => $check->id, $benches->at($bench)->checks);
        self::assertSame(['kill_wire', 'gaskets'], $checks(Bench::Teardown), 'whatever came off, the lead that stops it and what lies between');
        self::assertGreaterThan(2, \count($checks(Bench::Carburetor)));
        self::assertEquals(Carburetors::shipped(), $benches->at(Bench::Carburetor));
        self::assertEquals(Carburetors::teardowns(), $benches->at(Bench::Teardown));
    }

    public function testAForgottenSpringKeepsTheLedgerOpen(): void
    {
        $ledger = self::begun('bowl_brass')
            ->after(MoveKind::Off->move(said: ['kind' => 'filter_base']))
            ->after(MoveKind::Off->move(said: ['kind' => 'governor_spring', 'hole' => 'second from the top']))
            ->after(MoveKind::On->move(1));
        self::refused('strip.parts_left', static fn () => $ledger->after(MoveKind::Check->move(said: ['check' => 'linkage', 'outcome' => 'right'])));
        self::refused('strip.not_closable', static fn () => $ledger->after(MoveKind::Close->move()));
        self::assertSame(['governor_spring'], array_map(static fn (Part $part): ?string => $part->kind, $ledger->onMat()));
        $ledger = $ledger->after(MoveKind::On->move(2));
        self::refused('strip.not_closable', static fn () => $ledger->after(MoveKind::Close->move()));
        self::assertFalse(self::allChecked($ledger)->after(MoveKind::Close->move())->isOpen);
    }

    public function testAPartThatMovesUndoesTheCheckAndANoteDoesNot(): void
    {
        $ledger = self::begun('bowl_nut')->after(MoveKind::Off->move(said: ['kind' => 'bowl_nut']))->after(MoveKind::On->move(1));
        $checked = self::allChecked($ledger);
        self::assertSame([], $checked->checksLeft());
        self::assertSame([], $checked->after(MoveKind::Note->move(1, ['size' => '13 mm']))->checksLeft());
        self::assertNotSame([], $checked->after(MoveKind::Off->move(said: ['kind' => 'bowl']))->checksLeft());
    }

    public function testALinkageDoesNotComeOffBeforeItsHoleIsWrittenDown(): void
    {
        $ledger = self::begun('bowl_brass');
        self::refused('strip.unknown_hole', static fn () => $ledger->after(MoveKind::Off->move(said: ['kind' => 'governor_link'])));
        self::refused('strip.unknown_hole', static fn () => $ledger->after(MoveKind::Off->move(said: ['kind' => 'governor_link', 'hole' => ''])));
        self::assertSame('middle', $ledger->after(MoveKind::Off->move(said: ['kind' => 'governor_link', 'hole' => 'middle']))->parts[1]->notes['hole']);
    }

    public function testTheGasketStackGoesOnInReverseOrderOnly(): void
    {
        $ledger = self::begun('bowl_brass');
        foreach (['carburetor_gasket', 'insulator', 'head_gasket'] as $kind) {
            $ledger = $ledger->after(MoveKind::Off->move(said: ['kind' => $kind]));
        }
        self::assertSame(['head_gasket', 'insulator', 'carburetor_gasket'], array_map(static fn (Part $part): ?string => $part->kind, $ledger->stacks()['intake']));
        self::refused('strip.under', static fn () => $ledger->after(MoveKind::On->move(2)));
        $on = $ledger->after(MoveKind::On->move(3))->after(MoveKind::On->move(2))->after(MoveKind::On->move(1));
        self::assertSame([], $on->onMat());
    }

    public function testADiaphragmTypeHasTwoSpringStacksThatDoNotWaitForEachOther(): void
    {
        $ledger = self::begun('diaphragm');
        foreach (['metering_diaphragm', 'metering_gasket', 'pump_gasket', 'pump_diaphragm'] as $kind) {
            $ledger = $ledger->after(MoveKind::Off->move(said: ['kind' => $kind]));
        }
        self::assertSame(['pump', 'metering'], array_keys($ledger->stacks()));
        self::refused('strip.under', static fn () => $ledger->after(MoveKind::On->move(1)));
        self::assertCount(2, $ledger->after(MoveKind::On->move(2))->after(MoveKind::On->move(1))->onMat(), 'the metering side is together, the pump side still lies there');
    }

    public function testCoversMayWaitUntilTheBareFirstRunIsOver(): void
    {
        $ledger = self::begun('bowl_brass')
            ->after(MoveKind::Off->move(said: ['kind' => 'filter_base']))
            ->after(MoveKind::Off->move(said: ['kind' => 'bowl']))
            ->after(MoveKind::On->move(2));
        $closed = self::allChecked($ledger)->after(MoveKind::Close->move());
        self::assertFalse($closed->isApart());
        self::assertCount(1, $closed->onMat());
        self::assertSame([], $closed->after(MoveKind::On->move(1))->onMat());
        self::refused('strip.not_begun', static fn () => $closed->after(MoveKind::Off->move(said: ['kind' => 'bowl_bolt'])));
        self::refused('strip.not_begun', static fn () => $closed->after(MoveKind::Condition->move(1, ['condition' => 'hard'])));
        self::refused('strip.not_begun', static fn () => $closed->after(MoveKind::On->move(2)));
    }

    public function testAPartThatStaysOffSaysWhyAndNoPartThatTheEngineNeedsStaysOff(): void
    {
        $ledger = self::begun('bowl_brass');
        foreach (['filter_gasket', 'carburetor_gasket'] as $kind) {
            $ledger = $ledger->after(MoveKind::Off->move(said: ['kind' => $kind]));
        }
        $ledger = $ledger->after(MoveKind::Off->move(said: ['name' => 'Second gasket of the last hands', 'material' => 'paper']));
        self::refused('strip.never_left_off', static fn () => $ledger->after(MoveKind::LeaveOff->move(2, ['reason' => 'torn'])));
        self::refused('strip.reasonless', static fn () => $ledger->after(MoveKind::LeaveOff->move(3, ['reason' => ' '])));
        $left = $ledger->after(MoveKind::LeaveOff->move(3, ['reason' => 'two were fitted, one belongs']));
        self::assertSame([1, 2], array_map(static fn (Part $part): int => $part->place, array_reverse($left->onMat())));
        self::assertSame('two were fitted, one belongs', $left->leftOff()[0]->leftOff);
        $on = $left->after(MoveKind::On->move(2))->after(MoveKind::On->move(1));
        $closed = self::allChecked($on)->after(MoveKind::Close->move());
        self::assertFalse($closed->isOpen, 'it closes without it');
        self::refused('strip.not_begun', static fn () => $closed->after(MoveKind::On->move(3)));
        self::assertSame([], $on->after(MoveKind::On->move(3))->leftOff(), 'and it may go on after all');
    }

    public function testWorkAtTheBowlGoesOnFromTheLastPartAndNeverJumpsBack(): void
    {
        $ledger = self::begun('bowl_brass');
        self::assertSame(['filter_base', 'bowl_bolt'], [$ledger->nextOff(false)?->id, $ledger->nextOff(true)?->id]);
        $ledger = $ledger->after(MoveKind::Off->move(said: ['kind' => 'bowl_bolt']));
        self::assertSame('bolt_washer', $ledger->nextOff(false)?->id);
        $ledger = $ledger->after(MoveKind::Off->move(said: ['kind' => 'float']));
        self::assertSame('needle', $ledger->nextOff(true)?->id, 'the pin that was passed over is not come back to');
        self::assertNull($ledger->after(MoveKind::Off->move(said: ['kind' => 'mixture_screw']))->nextOff(true));
    }

    public function testAPointThatIsNotRightIsAFindingAndStaysOpen(): void
    {
        $ledger = self::begun('bowl_nut')->after(MoveKind::Off->move(said: ['kind' => 'bowl_nut']))->after(MoveKind::On->move(1));
        $drips = MoveKind::Check->move(said: ['check' => 'drip_watch', 'outcome' => 'bowl']);
        self::assertSame([], $ledger->after($drips)->checked);
        self::assertEquals([Finding::observed('leak.static', 'bowl')], $drips->finds($ledger->after($drips)));
        $dry = MoveKind::Check->move(said: ['check' => 'drip_watch', 'outcome' => 'none']);
        self::assertSame(['drip_watch'], $ledger->after($dry)->checked);
        self::assertSame([], $ledger->after($dry)->after($drips)->checked, 'seen dripping after all');
        self::assertSame([], $ledger->after(MoveKind::Check->move(said: ['check' => 'drip_watch']))->checked, 'nothing was seen');
    }

    public function testHolesThatAreCountedProveThePassage(): void
    {
        $ledger = self::begun('plastic_pilot')->after(MoveKind::Holes->move(said: ['passage' => 'emulsion', 'holes' => '5']));
        self::assertSame('partly', $ledger->passage('emulsion')?->word());
        $ledger = $ledger->after(MoveKind::Holes->move(said: ['passage' => 'emulsion', 'holes' => '6']));
        self::assertSame('proved', $ledger->passage('emulsion')?->word());
        self::assertSame(['clear'], $ledger->finding('emulsion')?->outcomes);
    }

    /** @param array<string, string> $said */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsRefusedByName(string $reason, MoveKind $kind, ?int $place, array $said): void
    {
        $ledger = self::begun('plastic_pilot')->after(MoveKind::Off->move(said: ['kind' => 'pilot_jet']))->after(MoveKind::Off->move(said: ['name' => 'Spacer', 'material' => 'aluminium']))->after(MoveKind::On->move(2));
        self::refused($reason, static fn () => $ledger->after($kind->move($place, $said)));
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
        yield 'a note nobody asks for' => ['strip.no_such', MoveKind::Note, 1, ['smell' => 'odd']];
        yield 'a note too long' => ['strip.no_such', MoveKind::Note, 1, ['size' => str_repeat('x', 500)]];
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
        self::refused('strip.not_begun', static fn () => $none->after(MoveKind::Off->move(said: ['name' => 'Clip', 'material' => 'steel'])));
        self::refused('strip.no_such', static fn () => $none->after(MoveKind::Begin->move(said: ['type' => 'steam'])));
        self::assertFalse($none->isApart());
    }

    public function testWhatStaysOnIsPassedOverAndStillMayComeOff(): void
    {
        $first = self::begun('bowl_brass');
        $kind = $first->nextOff(false)->id ?? '';
        $ledger = $first->after(MoveKind::StayOn->move(said: ['kind' => $kind]));
        self::assertSame([$kind], $ledger->staysOn);
        self::assertNotSame($kind, $ledger->nextOff(false)?->id);
        self::assertFalse($ledger->isApart(), 'nothing came off');
        self::refused('strip.no_such', static fn () => $ledger->after(MoveKind::StayOn->move(said: ['kind' => $kind])));
        self::refused('strip.no_such', static fn () => $ledger->after(MoveKind::StayOn->move(said: ['kind' => 'metering_lever'])));
        $off = $ledger->after(MoveKind::Off->move(said: ['kind' => $kind]));
        self::assertSame([], $off->staysOn, 'it came off after all');
        self::assertTrue($off->isApart());
    }

    public function testAPassageIsProvedByEveryExitAndEveryHole(): void
    {
        $ledger = self::begun('bowl_brass');
        $word = static fn (PartsLedger $ledger, string $passage): ?string => $ledger->passage($passage)?->word();
        self::assertSame('untried', $word($ledger, 'pilot'));
        $dull = static fn (PartsLedger $ledger): array => array_map(static fn (PassageState $state): string => $state->passage->id, $ledger->notClear());
        self::assertSame([], $dull($ledger), 'nobody tried one');
        foreach (['idle_port' => 'partly', 'transfer_1' => 'partly', 'transfer_2' => 'proved'] as $exit => $expected) {
            $ledger = $ledger->after(MoveKind::Through->move(said: ['passage' => 'pilot', 'exit' => $exit]));
            self::assertSame($expected, $word($ledger, 'pilot'));
            self::assertSame('proved' === $expected ? [] : ['pilot'], $dull($ledger));
        }
        self::assertSame('clear', $ledger->finding('pilot')?->outcome());
        $ledger = $ledger->after(MoveKind::Blocked->move(said: ['passage' => 'pilot']));
        self::assertSame(['blocked', 'partial'], [$word($ledger, 'pilot'), $ledger->finding('pilot')?->outcome()]);
        $ledger = $ledger->after(MoveKind::Through->move(said: ['passage' => 'pilot', 'exit' => 'transfer_1']));
        self::assertSame(['partly', ['idle_port', 'transfer_2']], [$word($ledger, 'pilot'), $ledger->passage('pilot')?->missing()], 'what came before it was blocked no longer counts');

        $ledger = $ledger->after(MoveKind::Through->move(said: ['passage' => 'emulsion', 'exit' => 'emulsion_holes']))->after(MoveKind::Holes->move(said: ['passage' => 'emulsion', 'holes' => '6']));
        self::assertSame('partly', $word($ledger, 'emulsion'), 'two of eight holes are shut');
        self::assertNull($ledger->finding('emulsion'));
        self::assertSame('proved', $word($ledger->after(MoveKind::Holes->move(said: ['passage' => 'emulsion', 'holes' => '8'])), 'emulsion'));
    }

    public function testTwoPassagesOfOneTestAreClearOnlyTogether(): void
    {
        $ledger = self::begun('bowl_nut')->after(MoveKind::Through->move(said: ['passage' => 'nut_side', 'exit' => 'nozzle']));
        self::assertNull($ledger->finding('nut_side'));
        self::assertSame('clear', $ledger->after(MoveKind::Through->move(said: ['passage' => 'nut_top', 'exit' => 'idle_well']))->finding('nut_side')?->outcome());
        self::assertSame('partial', $ledger->after(MoveKind::Blocked->move(said: ['passage' => 'nut_top']))->finding('nut_side')?->outcome());
        self::assertSame('clogged', self::begun('diaphragm')->after(MoveKind::Blocked->move(said: ['passage' => 'inlet']))->finding('inlet')?->outcome());
    }

    public function testWhatWasTakenBackNeverLeavesARecordThatCannotBeRead(): void
    {
        $moves = [MoveKind::Begin->move(said: ['type' => 'snap_in']), MoveKind::Off->move(1, ['kind' => 'filter_base']), MoveKind::Off->move(2, ['kind' => 'bowl']), MoveKind::Condition->move(2, ['condition' => 'film']), MoveKind::On->move(2), MoveKind::On->move(1)];
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
        $move = MoveKind::Off->move(4, ['kind' => 'bowl', 'orientation' => 'low side from the hinge']);
        self::assertEquals($move, Move::fromArray($move->toArray()));
    }

    public function testAConditionAdvisesWhatBecomesOfAPartAndADecisionOverrulesIt(): void
    {
        $ledger = self::begun('bowl_brass')->after(MoveKind::Off->move(said: ['kind' => 'bowl_gasket']))->after(MoveKind::Condition->move(1, ['condition' => 'hard']));
        self::assertSame(PartFate::Renew, $ledger->parts[1]->fate());
        self::assertCount(1, array_filter($ledger->parts, static fn (Part $part): bool => PartFate::Renew === $part->fate()));
        self::assertSame(PartFate::Reuse, $ledger->after(MoveKind::Keep->move(1, ['keep' => 'reuse']))->parts[1]->fate());
    }

    public function testTheOrderOfAShopIsStoredAndBegunWith(): void
    {
        $ledger = self::begun('bowl_brass')
            ->after(MoveKind::Off->move(said: ['kind' => 'bowl_bolt', 'size' => '11 mm']))
            ->after(MoveKind::Off->move(said: ['name' => 'Collar', 'material' => 'brass', 'orientation' => 'step down']))
            ->after(MoveKind::Off->move(said: ['kind' => 'governor_link', 'hole' => 'upper']));
        $move = Move::fromArray(MoveKind::Begin->move(said: ['type' => 'bowl_brass'], order: RemovalTemplate::fromLedger($ledger))->toArray());
        $next = Carburetors::shipped()->ledger([$move]);
        self::assertSame([['bowl_bolt', '', '11 mm'], ['own-2', 'Collar', null], ['governor_link', '', null]], array_map(static fn (PartKind $kind): array => [$kind->id, $kind->name, $kind->size], $next->stillOn()));
        self::assertSame(['orientation'], $next->stillOn()[1]->asks);
        self::assertNotSame([], $next->passages(), 'the type keeps its map');
        self::refused('strip.unknown_hole', static fn () => $next->after(MoveKind::Off->move(said: ['kind' => 'governor_link'])));
        $next = $next->after(MoveKind::Off->move(said: ['kind' => 'own-2', 'orientation' => 'step down']));
        self::assertSame(['Collar', 'brass'], [$next->parts[1]->name, $next->parts[1]->material->value]);
        self::assertSame('none was fitted', $next->after(MoveKind::LeaveOff->move(1, ['reason' => 'none was fitted']))->parts[1]->leftOff, 'a part of the shop\'s own is its own to judge');
        $next = $next->after(MoveKind::Off->move(said: ['kind' => 'bowl_bolt']));
        self::refused('strip.never_left_off', static fn () => $next->after(MoveKind::LeaveOff->move(2, ['reason' => 'lost'])));
        $free = Carburetors::shipped()->ledger([MoveKind::Begin->move(said: ['type' => 'free'], order: RemovalTemplate::fromLedger($ledger))]);
        self::assertSame([3, []], [\count($free->stillOn()), $free->passages()]);
        self::assertSame(['type' => 'free', 'template' => 'as we do it'], MoveKind::Begin->move(said: ['type' => 'free', 'template' => 'as we do it'])->said());
        self::assertSame(['type' => 'free'], MoveKind::Begin->move(said: ['type' => 'free'])->said());
    }

    public function testATemplateKeptBeforeStacksHadNamesKnowsOne(): void
    {
        $part = ['id' => 'own-1', 'name' => 'Gasket', 'material' => 'paper', 'asks' => [], 'size' => null];
        self::assertSame(['intake', null, null, 'air box'], array_column(RemovalTemplate::fromArray([$part + ['stack' => true], $part + ['stack' => false], $part + ['stack' => null], $part + ['stack' => 'air box']])->parts, 'stack'));
    }

    public function testSixtyPartsAreHeldAndALedgerHasAnEnd(): void
    {
        $ledger = self::begun(Carburetors::FREE);
        for ($part = 1; $part <= PartsLedger::MOST_PARTS; ++$part) {
            $ledger = $ledger->after(MoveKind::Off->move(said: ['name' => "Part $part", 'material' => 'steel']));
        }
        self::assertCount(PartsLedger::MOST_PARTS, $ledger->onMat());
        self::refused('strip.too_many', static fn () => $ledger->after(MoveKind::Off->move(said: ['name' => 'One more', 'material' => 'steel'])));
    }

    private static function begun(string $type): PartsLedger
    {
        return Carburetors::shipped()->ledger([MoveKind::Begin->move(said: ['type' => $type])]);
    }

    private static function takeOff(PartKind $kind): Move
    {
        return MoveKind::Off->move(said: ['kind' => $kind->id] + (\in_array('hole', $kind->asks, true) ? ['hole' => 'outer'] : []));
    }

    private static function allChecked(PartsLedger $ledger): PartsLedger
    {
        return array_reduce(Carburetors::shipped()->checks, static fn (PartsLedger $ledger, CoverCheck $check): PartsLedger => $ledger->after(MoveKind::Check->move(said: ['check' => $check->id] + ([] === $check->good ? [] : ['outcome' => $check->good[0]]))), $ledger);
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
