<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Service;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Service\Due;
use AwakeShed\Core\Service\Interval;
use AwakeShed\Core\Service\ServiceItem;
use AwakeShed\Core\Service\ServiceList;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;
use PHPUnit\Framework\TestCase;

/** What is due on a machine, by itself and by what was found. */
final class ServiceListTest extends TestCase
{
    public function testEveryIntervalIsOfAStepAndEveryFindingIsTheVocabularys(): void
    {
        $vocabulary = Vocabulary::shipped();
        /** @var array{source_class: string, intervals: array<string, array{months: int, hours: int, found: array<string, list<string>>}>} $table */
        $table = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Service/data/intervals.json'), true, 16, \JSON_THROW_ON_ERROR);
        self::assertSame('common practice', $table['source_class']);
        foreach ($table['intervals'] as $step => $one) {
            self::assertSame($step, self::plan()->step($step)->id);
            self::assertGreaterThan(0, $one['months']);
            foreach ($one['found'] as $test => $outcomes) {
                self::assertSame([], array_diff($outcomes, $vocabulary->test($test)->outcomes ?? []), $step);
            }
        }
        // A second copy, in words, so that a figure is changed twice on purpose.
        self::assertSame(['plug 12 100', 'oil 12 50', 'air 12 50', 'fuel filter 12 100', 'line 36 300', 'lash 24 100', 'blade 6 25', 'chain 6 10'], array_map(
            static fn (string $name, string $step): string => $name.' '.$table['intervals'][$step]['months'].' '.$table['intervals'][$step]['hours'],
            ['plug', 'oil', 'air', 'fuel filter', 'line', 'lash', 'blade', 'chain'],
            ['service.plug', 'service.oil_drain', 'service.air_filter', 'service.fuel_filter', 'service.fuel_line', 'service.lash', 'service.blade', 'service.chain'],
        ));
    }

    public function testHoursBringItForward(): void
    {
        $plug = Interval::shipped()['service.plug'];
        self::assertSame(12, $plug->monthsFor(null));
        self::assertSame(12, $plug->monthsFor(0.0), 'what is never run is due by the calendar');
        self::assertSame(12, $plug->monthsFor(40.0));
        self::assertSame(6, $plug->monthsFor(200.0), '100 h at 200 h a year');
        self::assertSame(1, $plug->monthsFor(8000.0));
    }

    public function testEachItemSaysWhyItIsDueOrWhenItWillBe(): void
    {
        $today = new \DateTimeImmutable('2026-11-26');
        $case = new CaseFile(new MachineFacts(MachineKind::Mower), [Finding::observed('look.air_filter', 'rotten')]);
        $list = self::list($case, [new Act('service.blade', choice: 'sharpened')], ['service.plug' => new \DateTimeImmutable('2026-05-01'), 'service.fuel_filter' => new \DateTimeImmutable('2025-10-01')], $today);
        $due = static fn (string $step): ?Due => $list->item($step)?->due;
        self::assertSame([Due::DoneNow, Due::Later, Due::Overdue, Due::Found, Due::NeverDone], [$due('service.blade'), $due('service.plug'), $due('service.fuel_filter'), $due('service.air_filter'), $due('service.oil_drain')]);
        self::assertSame('2027-05-01', $list->item('service.plug')?->next?->format('Y-m-d'));
        self::assertSame('2027-05-26', $list->item('service.blade')?->next?->format('Y-m-d'));
        self::assertNull($list->item('service.chain'), 'a mower has none');
        self::assertTrue($list->items[0]->due->isDue());
        self::assertNotContains('service.plug', array_map(static fn (ServiceItem $item): string => $item->step, $list->due()));
        self::assertContains('service.plug', $list->dueBy(new \DateTimeImmutable('2027-06-01')));
        self::assertNotContains('service.plug', $list->dueBy(new \DateTimeImmutable('2027-03-10')));
    }

    public function testTheFirstDayIsThatOfWhateverComesFirst(): void
    {
        $today = new \DateTimeImmutable('2026-11-26');
        $case = new CaseFile(new MachineFacts(MachineKind::Mower));
        self::assertNull(self::list($case, [], [], $today)->firstDay(), 'nothing was ever done');
        $list = self::list($case, [new Act('service.blade', choice: 'sharpened')], ['service.plug' => new \DateTimeImmutable('2026-05-01'), 'service.fuel_line' => new \DateTimeImmutable('2026-01-02')], $today);
        self::assertSame('2027-05-01', $list->firstDay()?->format('Y-m-d'));
        self::assertSame(['service.air_filter', 'service.fuel_filter', 'service.plug'], array_values(array_intersect($list->dueBy(new \DateTimeImmutable('2027-05-01')), ['service.plug', 'service.blade', 'service.fuel_line', 'service.air_filter', 'service.fuel_filter'])), 'what was never done is due by any day');
    }

    public function testEachKindHasItsOwn(): void
    {
        $steps = static fn (MachineKind $kind, ?Cycle $cycle = null): array => array_map(static fn (ServiceItem $item): string => $item->step, self::list(new CaseFile(new MachineFacts($kind, $cycle)), [], [], new \DateTimeImmutable('2026-11-26'))->items);
        self::assertContains('service.shear_pins', $steps(MachineKind::Snowblower));
        self::assertContains('service.pump_oil', $steps(MachineKind::PressureWasher));
        self::assertContains('service.chain', $steps(MachineKind::TwoStrokeHandTool));
        self::assertNotContains('service.oil_drain', $steps(MachineKind::TwoStrokeHandTool), 'its oil is in its fuel');
        self::assertNotContains('service.blade', $steps(MachineKind::Generator));
    }

    /**
     * @param list<Act>                         $acts
     * @param array<string, \DateTimeImmutable> $past
     */
    private static function list(CaseFile $case, array $acts, array $past, \DateTimeImmutable $today): ServiceList
    {
        return ServiceList::of(self::plan()->stateOfStage('service', $case, $acts)->steps, $case, $past, null, $today);
    }

    private static function plan(): StagePlan
    {
        return StagePlan::shipped(Vocabulary::shipped(), new Gatekeeper(Vocabulary::shipped(), Closures::shipped()));
    }
}
