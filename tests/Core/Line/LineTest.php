<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Line;

use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\ActDefinition;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Line\ActRooms;
use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\ElementState;
use AwakeShed\Core\Line\ElementTone;
use AwakeShed\Core\Line\Line;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LineTest extends TestCase
{
    /** @return iterable<string, array{list<Finding|PutRight|Done>, Element, ElementTone}> */
    public static function evidence(): iterable
    {
        yield 'nothing' => [[], Element::Jets, ElementTone::NotLookedAt];
        yield 'a story is a suspicion' => [[Finding::number('claim.idle_months', 40), Finding::observed('claim.layup', 'fuel_left_in')], Element::Bowl, ElementTone::Hint];
        yield 'gas in the oil points at the needle' => [[Finding::observed('look.oil_smell', 'gas')], Element::Needle, ElementTone::Strong];
        yield 'and is bad for the crankcase' => [[Finding::observed('look.oil_smell', 'gas'), Finding::observed('look.oil_level', 'at_mark')], Element::Crankcase, ElementTone::Bad];
        yield 'a proof outweighs a hint' => [[Finding::observed('claim.tank_fuel_age', 'mixed'), Finding::observed('jar.tank', 'clear_one_layer')], Element::Tank, ElementTone::Good];
        yield 'a proof does not outweigh a likely suspicion' => [[Finding::observed('compression.leakdown', 'good'), Finding::observed('feel.pull', 'locked')], Element::Cylinder, ElementTone::Likely];
        yield 'a later finding of the same test replaces the earlier' => [[Finding::observed('jar.smell', 'varnish'), Finding::observed('jar.smell', 'fresh')], Element::Tank, ElementTone::Good];
        yield 'also where it says nothing of the element any more' => [[Finding::observed('jar.smell', 'varnish'), Finding::observed('jar.smell', 'fresh')], Element::Jets, ElementTone::NotLookedAt];
        yield 'a cure silences what was before' => [[Finding::observed('needle.pressure', 'leaks'), new PutRight('carb.needle_leaks')], Element::Needle, ElementTone::PutRight];
        yield 'a proof after a cure keeps it put right' => [[new PutRight('carb.needle_leaks'), Finding::observed('needle.pressure', 'holds')], Element::Needle, ElementTone::PutRight];
        yield 'another fault of the same goes on speaking' => [[Finding::observed('jet.pilot', 'blocked'), Finding::observed('jet.main', 'blocked'), new PutRight('carb.pilot_blocked')], Element::Jets, ElementTone::Bad];
        yield 'a relapse shows' => [[new PutRight('carb.needle_leaks'), Finding::observed('needle.pressure', 'leaks')], Element::Needle, ElementTone::Bad];
    }

    /** @param list<Finding|PutRight|Done> $events */
    #[DataProvider('evidence')]
    public function testShowsWhatIsKnown(array $events, Element $element, ElementTone $tone): void
    {
        self::assertSame($tone, self::state($events, $element)->tone);
    }

    public function testGivesItsReasons(): void
    {
        $state = self::state([Finding::observed('look.oil_smell', 'gas'), Finding::observed('look.oil_level', 'far_over')], Element::Crankcase);
        self::assertSame([['test' => 'look.oil_smell', 'outcome' => 'gas'], ['test' => 'look.oil_level', 'outcome' => 'far_over']], $state->because);
        // Put right, it stands on what showed it since; good, on what is good; bad, on what is bad alone.
        self::assertSame([['test' => 'needle.pressure', 'outcome' => 'holds']], self::state([new PutRight('carb.needle_leaks'), Finding::observed('needle.pressure', 'holds')], Element::Needle)->because);
        self::assertSame([['test' => 'jar.smell', 'outcome' => 'fresh']], self::state([Finding::observed('jar.smell', 'fresh')], Element::Tank)->because);
        self::assertSame([['test' => 'jar.tank', 'outcome' => 'two_layers']], self::state([Finding::observed('jar.smell', 'fresh'), Finding::observed('jar.tank', 'two_layers')], Element::Tank)->because);
    }

    public function testSaysWhatWasMadeOfEveryThingTheLastTouchedLast(): void
    {
        $rooms = ActRooms::shipped(Vocabulary::shipped());
        $done = static fn (string ...$acts): array => array_map(static fn (string $act): Done => new Done(Vocabulary::shipped()->act($act)), array_values($acts));
        $case = new CaseFile(new MachineFacts(MachineKind::Mower), [...$done('crankcase.drained', 'carburetor.off', 'bowl.cleaned', 'crankcase.filled', 'covers.off', 'carburetor.on'), Finding::observed('look.oil_level', 'at_mark')]);
        self::assertSame(['bowl' => 'cleaned', 'carburetor' => 'on_not_checked'], $rooms->things('bowl', $case));
        self::assertSame(['crankcase' => 'filled_and_looked_at'], $rooms->things('crankcase', $case));
        self::assertSame(['covers' => 'off'], $rooms->things('machine', $case));
        self::assertSame([], $rooms->things('tank', $case), 'what nobody touched has no state');
    }

    public function testInEachRoomIsWhatCanBeDoneThere(): void
    {
        $vocabulary = Vocabulary::shipped();
        $rooms = ActRooms::shipped($vocabulary);
        foreach ([new MachineFacts(MachineKind::Mower), new MachineFacts(MachineKind::TwoStrokeHandTool), new MachineFacts(MachineKind::Generator)] as $machine) {
            $all = [];
            foreach (array_unique(array_map($rooms->roomOf(...), $vocabulary->acts)) as $room) {
                $in = $rooms->in($room, $machine);
                self::assertSame([], array_filter($in, static fn (ActDefinition $act): bool => $room !== $rooms->roomOf($act)));
                $all = [...$all, ...$in];
            }
            self::assertEqualsCanonicalizing(array_values(array_filter($vocabulary->acts, static fn (ActDefinition $act): bool => $vocabulary->canBeDone($act, $machine))), $all, $machine->kind->value);
        }
        self::assertSame(['tank.drained', 'tank.flushed', 'tank.filled'], array_values(array_intersect(array_column($rooms->in('tank', new MachineFacts(MachineKind::Mower)), 'id'), ['tank.drained', 'tank.filled', 'tank.flushed', 'crankcase.drained'])));
    }

    public function testEveryEntryNamesWordsOfTheVocabularyAndEveryElementCanBeSuspected(): void
    {
        /** @var array{outcomes: array<string, array<string, array<string, string>>>, faults: array<string, list<string>>} $bearings */
        $bearings = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Line/data/bearings.json'), true, 16, \JSON_THROW_ON_ERROR);
        $vocabulary = Vocabulary::shipped();
        foreach ($bearings['outcomes'] as $test => $outcomes) {
            self::assertSame([], array_diff(array_keys($outcomes), $vocabulary->test($test)->outcomes ?? []), $test);
            foreach ($outcomes as $elements) {
                foreach ($elements as $element => $tone) {
                    self::assertNotNull(Element::tryFrom($element), $element);
                    self::assertContains(ElementTone::from($tone), [ElementTone::Good, ElementTone::Bad], "$test: suspicion is the fault model's business");
                }
            }
        }
        $bearing = [];
        foreach ($bearings['faults'] as $fault => $elements) {
            $vocabulary->checkFault($fault);
            $bearing = [...$bearing, ...$elements];
        }
        self::assertEqualsCanonicalizing(array_column(Element::cases(), 'value'), array_values(array_unique($bearing)), 'a fault sits on every element, so each can be suspected');
    }

    public function testEveryTestHasOneRoom(): void
    {
        self::assertEqualsCanonicalizing(array_keys(Vocabulary::shipped()->tests), array_merge(...array_values(Line::shipped(FaultModel::shipped(...))->rooms)));
        self::assertSame([...array_column(Element::cases(), 'value'), 'machine', 'story'], array_keys(Line::shipped(FaultModel::shipped(...))->rooms));
    }

    public function testGivesTheFindingsThatMakeItSuspect(): void
    {
        $state = self::state([Finding::observed('look.oil_smell', 'gas'), Finding::observed('look.carb_outside', 'fuel_stain')], Element::Needle);
        self::assertTrue($state->tone->isSuspicion());
        self::assertSame(['look.carb_outside'], array_column($state->because, 'test'));
        $told = self::state([Finding::number('claim.idle_months', 60), Finding::observed('claim.layup', 'fuel_left_in')], Element::Jets);
        self::assertSame(['claim.idle_months', 'claim.layup'], array_column($told->because, 'test'), 'by its story alone');
    }

    /** @param list<Finding|PutRight|Done> $events */
    private static function state(array $events, Element $element): ElementState
    {
        $vocabulary = Vocabulary::shipped();
        $case = new CaseFile(new MachineFacts(MachineKind::Mower), $events);
        foreach (Line::shipped(FaultModel::shipped(...))->states($case, (new Assessor(FaultModel::shipped(), $vocabulary, new Gatekeeper($vocabulary, Closures::shipped())))->assess($case)->faults) as $state) {
            if ($state->element === $element) {
                return $state;
            }
        }
        self::fail('The line has every element.');
    }

    public function testEveryFaultHasAPlaceOnTheLine(): void
    {
        $line = Line::shipped(FaultModel::shipped(...));
        $placed = array_merge(...array_map($line->faultsOf(...), Element::cases()));
        // What once happened to a machine is nowhere on it.
        self::assertEqualsCanonicalizing(array_filter(FaultModel::shipped()->faults(), static fn (string $fault): bool => !str_starts_with($fault, 'history.')), array_unique($placed));
    }
}
