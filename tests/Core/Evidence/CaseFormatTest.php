<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Evidence;

use AwakeShed\Core\Evidence\CaseFormat;
use AwakeShed\Core\Evidence\CaseProblem;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\EventFormat;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\UnknownWord;
use AwakeShed\Core\Evidence\UnreadableCase;
use AwakeShed\Core\Evidence\Vocabulary;
use PHPUnit\Framework\TestCase;

final class CaseFormatTest extends TestCase
{
    private const DOCUMENT = [
        'format' => 'awake-shed/case',
        'version' => 1,
        'machine' => ['kind' => 'mower', 'cycle' => 'four_stroke', 'displacement_cc' => 160.0, 'compression_ratio' => 8.5, 'compression_release' => false, 'feed' => 'gravity', 'choke' => 'auto', 'oil_ml' => 550.0, 'spoken_for' => '2027-03-15', 'paint' => 'green'],
        'schools' => ['needle_seat' => 'renew_both', 'somebody_elses' => 'question'],
        'findings' => [
            ['test' => 'claim.idle_months', 'outcome' => 26],
            ['test' => 'look.oil_level', 'outcome' => 'far_over', 'measured' => ['drained_ml' => 900], 'seen_by' => 'a neighbor'],
            ['put_right' => 'oil.gas_in_oil'],
            ['test' => 'look.plug', 'outcome' => ['gas_wet', 'like_new']],
        ],
        'jars' => ['tank' => ['look' => ['smell' => 'stale']]],
        'barn' => ['row' => 3],
    ];

    public function testReadsAndWritesTheSameDocumentForeignKeysAndAll(): void
    {
        $format = new CaseFormat(Vocabulary::shipped(), new EventFormat(Vocabulary::shipped()));
        self::assertEquals(self::DOCUMENT, $format->write($format->read(self::DOCUMENT)));
    }

    public function testEveryFactOfAMachineIsReadAndWritten(): void
    {
        $format = new CaseFormat(Vocabulary::shipped(), new EventFormat(Vocabulary::shipped()));
        $facts = ['kind' => 'snowblower', 'cycle' => 'two_stroke', 'displacement_cc' => 208.0, 'compression_ratio' => 8.0, 'compression_release' => true, 'feed' => 'pump', 'choke' => 'manual', 'oil_ml' => 600.0, 'tank_ml' => 2700.0, 'blade_mm' => 530.0, 'governed_rpm' => 3600.0, 'spoken_for' => '2026-12-01', 'cylinders' => 2, 'electric_start' => true, 'maker' => 'Tarnsmith', 'model' => 'T', 'type' => 'two-stage', 'serial' => '7', 'plug' => 'P1', 'filter' => 'F2'];
        foreach ([$facts, ['electric_start' => false, 'compression_release' => false, 'cylinders' => 1] + $facts, ['kind' => 'mower', 'cycle' => 'four_stroke']] as $machine) {
            $document = ['format' => 'awake-shed/case', 'version' => 1, 'machine' => $machine, 'findings' => [['done' => 'crankcase.drained', 'measured' => ['ml' => 700], 'by' => 'hand'], ['done' => 'bowl.off']]];
            self::assertEquals($document, $format->write($format->read($document)));
        }
        // What is no number, no word and no yes or no says nothing.
        $case = $format->read(['format' => 'awake-shed/case', 'version' => 1, 'machine' => ['kind' => 'mower', 'oil_ml' => 'much', 'feed' => 3, 'maker' => 7, 'electric_start' => 'yes']]);
        self::assertEquals(['kind' => 'mower', 'cycle' => 'four_stroke', 'electric_start' => false], CaseFormat::machineToArray($case->machine));
    }

    public function testWhatIsWrittenOfAnEventIsOneThingOrNothing(): void
    {
        $events = new EventFormat(Vocabulary::shipped());
        self::assertNull($events->read([]));
        self::assertNull($events->read(['test' => 'look.plug']));
        self::assertNull($events->read(['test' => 'look.plug', 'outcome' => true]));
        self::assertNull($events->read(['test' => 'look.plug', 'outcome' => [true, 3]]));
        self::assertEquals(Finding::observed('look.plug', 'dry', 'gas_wet'), $events->read(['test' => 'look.plug', 'outcome' => ['dry', 3, 'gas_wet']]));
        self::assertEquals(Finding::number('claim.idle_months', 2.5), $events->read(['test' => 'claim.idle_months', 'outcome' => 2.5, 'measured' => 'nothing']));
        self::assertEquals(Finding::number('', 4), $events->read(['test' => 7, 'outcome' => 4]));
        self::assertEquals(new PutRight('oil.low', ['why' => 'x']), $events->read(['put_right' => 'oil.low', 'why' => 'x', 'test' => 'look.plug', 'outcome' => 'dry', 'done' => 'bowl.off']));
        self::assertEquals(new Done(Vocabulary::shipped()->act('bowl.off')), $events->read(['done' => 'bowl.off', 'put_right' => 3]));
        self::assertSame([26, 2.5, -3, 999_999_999, 1.0e9, -1.05e9, 'dry', ['dry', 'gas_wet']], array_map(static fn (Finding $one): string|array|int|float => $one->outcome(), [
            ...array_map(static fn (float $number): Finding => Finding::number('claim.idle_months', $number), [26.0, 2.5, -3.0, 999_999_999.0, 1.0e9, -1.05e9]), Finding::observed('look.plug', 'dry'), Finding::observed('look.plug', 'dry', 'gas_wet'),
        ]), 'whole numbers are written without a sign, as far as they can be');
        $this->expectException(UnknownWord::class);
        $events->read(['done' => 'bowl.thrown']);
    }

    public function testAPlaceIsPointedAtWhateverItsName(): void
    {
        try {
            (new CaseFormat(Vocabulary::shipped(), new EventFormat(Vocabulary::shipped())))->read(['format' => 'awake-shed/case', 'version' => 1, 'machine' => ['kind' => 'mower'], 'schools' => ['needle_seat' => 'pray'], 'findings' => [['done' => 'crankcase.drained', 'measured' => ['ml' => -1]], ['test' => 'look.plug'], ['test' => 'claim.idle_months']], 'jars' => ['a~b/c' => ['layers' => ['height_mm' => 90, 'total_ml' => 10, 'lower_ml' => 20]]]]);
            self::fail('It was read.');
        } catch (UnreadableCase $unreadable) {
            self::assertSame(['/schools/needle_seat', '/findings/0', '/findings/1', '/findings/2', '/jars/a~0b~1c'], array_map(static fn (CaseProblem $problem): string => $problem->pointer, $unreadable->problems));
            self::assertSame(['look.plug', 'claim.idle_months takes a number.'], [substr($unreadable->problems[2]->message, 0, 9), $unreadable->problems[3]->message]);
        }
    }

    public function testKeepsTheOrderOfCures(): void
    {
        $case = (new CaseFormat(Vocabulary::shipped(), new EventFormat(Vocabulary::shipped())))->read(self::DOCUMENT);
        self::assertInstanceOf(PutRight::class, $case->events[2]);
        self::assertTrue($case->putRightSince('look.oil_level', 'oil.gas_in_oil'));
        self::assertFalse($case->putRightSince('look.plug', 'oil.gas_in_oil'));
        // Neither found nor put right, ever.
        self::assertFalse($case->putRightSince('look.tap', 'carb.seat_leaks'));
        self::assertTrue($case->putRightSince('look.tap', 'oil.gas_in_oil'));
    }

    public function testReportsEveryProblemWithItsPlace(): void
    {
        $document = self::DOCUMENT;
        $document['machine']['oil_ml'] = 9e9;
        $document['schools']['needle_seat'] = 'pray';
        $document['findings'][0] = ['test' => 'look.weather', 'outcome' => 'fair'];
        $document['findings'][1]['measured'] = ['drained_ml' => -3];
        $document['findings'][2] = ['put_right' => 'paint.faded'];
        $document['findings'][3] = ['test' => 'claim.idle_months', 'outcome' => -2];
        $document['jars']['tank'] = ['layers' => ['height_mm' => 90, 'total_ml' => 10, 'lower_ml' => 20]];
        try {
            (new CaseFormat(Vocabulary::shipped(), new EventFormat(Vocabulary::shipped())))->read($document);
            self::fail('It was read.');
        } catch (UnreadableCase $unreadable) {
            self::assertSame(
                ['/machine', '/schools/needle_seat', '/findings/0', '/findings/1', '/findings/2', '/findings/3', '/jars/tank'],
                array_map(static fn (CaseProblem $problem): string => $problem->pointer, $unreadable->problems),
            );
        }
    }

    /** Nothing is less than nothing, and nothing colder than absolute zero; what else was measured is anybody's. */
    public function testRefusesAReadingThatIsBelowItsFloor(): void
    {
        foreach (['drained_ml' => 0, 'over_mm' => 0, 'swept_cc' => 0, 'stood_minutes' => 0, 'stood_months' => 0, 'air_celsius' => -273.15, 'governed_rpm' => 0, 'air_k' => 0, 'ml' => 0, 'mm' => 0, 'rpm' => 0, 'minutes' => 0, 'times' => 0, 'pulls' => 0, 'turns' => 0] as $key => $floor) {
            self::assertTrue(self::isRead($key, $floor), $key);
            self::assertFalse(self::isRead($key, $floor - 0.01), "$key below $floor");
        }
        self::assertTrue(self::isRead('offset', -40));
    }

    private static function isRead(string $key, float $value): bool
    {
        $document = self::DOCUMENT;
        $document['findings'][1]['measured'] = [$key => $value];
        try {
            (new CaseFormat(Vocabulary::shipped(), new EventFormat(Vocabulary::shipped())))->read($document);
        } catch (UnreadableCase) {
            return false;
        }

        return true;
    }
}
