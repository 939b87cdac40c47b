<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedState;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Plan\AfterChanges;
use AwakeShed\App\Plan\DayCharts;
use AwakeShed\App\Plan\MarkRepository;
use AwakeShed\App\Plan\PlanBoard;
use AwakeShed\App\Plan\PlanBoards;
use AwakeShed\App\Plan\PlanItem;
use AwakeShed\App\Plan\Plans;
use AwakeShed\App\Plan\PlanVersion;
use AwakeShed\App\Plan\PlanVersionRepository;
use AwakeShed\App\Plan\Workplace;
use AwakeShed\App\Wait\Wait;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Wait\WaitLines;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Schedule\Checker;
use AwakeShed\Core\Schedule\Placed;
use AwakeShed\Core\Schedule\Plan;
use AwakeShed\Core\Schedule\ProblemFormat;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Reader;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\ErrorHandler\BufferingLogger;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\HttpKernel\KernelInterface;

final class PlanTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    protected function setUp(): void
    {
        parent::setUp();
        // A Tuesday morning.
        self::mockTime(new \DateTimeImmutable('2026-06-09 09:00:00 UTC'));
    }

    public function testAJobIsPlannedInTheTradesOrderByThoseWhoMay(): void
    {
        $job = $this->promised('2026-06-12');
        $board = $this->replanned();
        $kinds = array_map(static fn (PlanItem $item): string => $item->kind, $board->items);

        self::assertSame(['gates', 'fuel'], \array_slice($kinds, 0, 2));
        self::assertContains('first_run', $kinds);
        self::assertSame('hand_over', $kinds[\count($kinds) - 1]);
        foreach ($board->items as $item) {
            if (\in_array($item->kind, ['first_run', 'proof'], true)) {
                self::assertNotSame($this->member(Role::Apprentice)->getId(), $item->hands?->id);
                self::assertSame([Workplace::PAD], $item->places);
            }
        }
        self::assertSame([], $this->faults($board));
        self::assertCount(1, $board->promises);
        self::assertSame($job->getId(), $board->promises[0]['job']->id);
        self::assertGreaterThan(0.99, $board->promises[0]['odds']['kept']);
    }

    public function testWhatIsRecordedLeavesThePlan(): void
    {
        $job = $this->promised('2026-06-12');
        self::assertContains('gates', array_column($this->replanned()->items, 'kind'));
        $this->pastGates($this->again($job));

        self::assertNotContains('gates', array_column($this->replanned()->items, 'kind'));
    }

    public function testAChangeMakesThePlanAnewAfterTheAnswerAndALookNever(): void
    {
        $this->signIn();
        $job = $this->promised('2026-06-12');
        self::service(AfterChanges::class)->turn(true);
        $this->browser->disableReboot();
        $this->browser->request('GET', '/plan');
        self::assertResponseIsSuccessful();
        self::assertSame(0, $this->number());
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'look.oil_level', 'outcome' => 'at_mark']);
        $first = $this->number();
        self::assertGreaterThan(0, $first);
        $this->browser->request('GET', '/plan');
        $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSame($first, $this->number());
    }

    public function testALookAtAPlanThatLastedTooLongToCatchUpMakesIt(): void
    {
        $this->signIn();
        $this->promised('2026-06-12');
        $this->replanned();
        $first = $this->number();
        // Another came while the worker was wanted back.
        $this->promised('2026-06-15');
        self::entities()->getConnection()->executeStatement('UPDATE plan_state SET wanted = wanted + 1');
        self::assertTrue(self::service(Plans::class)->isBehind());
        self::service(AfterChanges::class)->turn(true);
        $this->browser->disableReboot();
        $this->browser->request('GET', '/');
        self::assertSame($first, $this->number());
        $this->browser->request('GET', '/plan');
        self::assertGreaterThan($first, $this->number());
        self::assertFalse(self::service(Plans::class)->isBehind());
        self::assertCount(2, self::service(PlanBoards::class)->last()->promises ?? []);
    }

    public function testAPlanThatCannotBeMadeIsWrittenDownAndTheAnswerStands(): void
    {
        $logger = new BufferingLogger();
        $after = new AfterChanges(static fn (): Plans => throw new \RuntimeException('no hands'), $logger, true);
        $answered = static fn (string $method) => $after->afterAnswer(new TerminateEvent(self::service(KernelInterface::class), Request::create('/plan', $method), new Response()));
        $answered('POST');
        self::assertSame([], $logger->cleanLogs(), 'nothing has changed');
        $after->catchUp();
        $answered('GET');
        self::assertStringContainsString('"The plan was not made: {why}",{"why":"no hands"', json_encode($logger->cleanLogs(), \JSON_THROW_ON_ERROR));
        $answered('GET');
        self::assertSame([], $logger->cleanLogs(), 'it is tried anew with the next change');
    }

    public function testWhoHasBegunGoesOnAndTheClockTeaches(): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->promised('2026-06-12');
        $this->replanned();
        $this->browser->request('GET', '/plan');
        self::assertSelectorTextContains('[data-card]', 'Look it over');
        $this->browser->request('GET', "/plan/{$job->getId()}/proof");
        self::assertSelectorTextContains('h1', 'Prove it');
        self::assertSelectorExists('[data-shut]', 'an engine would run before its gates');
        $this->browser->request('GET', "/plan/{$job->getId()}/polish");
        self::assertResponseStatusCodeSame(404);
        $this->post("/plan/{$job->getId()}/gates/started", []);
        self::assertResponseRedirects('/plan');
        self::mockTime(new \DateTimeImmutable('2026-06-09 09:10:00 UTC'));
        $board = $this->replanned();
        self::assertTrue($board->items[0]->isUnderWay());
        self::assertSame($this->member(Role::Apprentice)->getId(), $board->items[0]->hands?->id);
        self::assertSame([], $this->faults($board));
        $before = $board->items[0]->minutes();
        $this->post("/plan/{$job->getId()}/gates/longer", ['minutes' => '30']);
        self::assertSame($before + 30, $this->replanned()->items[0]->minutes());
        $this->pastGates($this->again($job));
        self::mockTime(new \DateTimeImmutable('2026-06-09 09:40:00 UTC'));
        $this->replanned();

        self::assertSame(40.0, self::service(MarkRepository::class)->timed()['gates'][0][1]);
    }

    public function testWhoIsDoneStopsTheClockAndIsSentToTheJob(): void
    {
        $this->signIn();
        $job = $this->promised('2026-06-12');
        $this->replanned();
        $this->post("/plan/{$job->getId()}/gates/longer", ['minutes' => '15']);
        self::assertTrue($this->replanned()->items[0]->isUnderWay(), 'who says it takes longer has begun');
        $this->post("/plan/{$job->getId()}/gates/longer", ['minutes' => '17']);
        self::assertResponseStatusCodeSame(404);
        $this->post("/plan/{$job->getId()}/gates/done", []);
        self::assertResponseRedirects('/jobs/'.$job->getId());
        $this->browser->followRedirect();
        $this->assertSays('The clock has stopped. Record what was done');
        $first = $this->replanned()->items[0];
        self::assertSame([$job->getId(), 'gates', false], [$first->job->id, $first->kind, $first->isUnderWay()], 'until it is recorded it is still to be done');
    }

    public function testWhatCannotBeDoneNowWaitsWithItsReason(): void
    {
        $this->signIn();
        $job = $this->promised('2026-06-12');
        $this->replanned();
        $this->post("/plan/{$job->getId()}/gates/cannot", ['until' => 'tomorrow', 'reason' => 'Key to the shed is missing']);
        $board = $this->replanned();
        $gates = $this->item($board, 'gates');
        self::assertGreaterThanOrEqual('2026-06-10 08:00', $gates->start->format('Y-m-d H:i'));
        self::assertSame('Key to the shed is missing', $gates->mark?->reason);
        $this->post("/plan/{$job->getId()}/gates/cannot", ['until' => 'never']);
        self::assertResponseStatusCodeSame(404);
    }

    public function testAPieceIsGivenToSomebodyAndSetAtATime(): void
    {
        $this->signIn();
        $job = $this->promised('2026-06-12');
        $this->replanned();
        $owner = $this->member(Role::Owner);
        $this->post("/plan/{$job->getId()}/gates/pin", ['hands' => (string) $owner->getId(), 'at' => '2026-06-09T14:00']);
        $gates = $this->item($this->replanned(), 'gates');
        self::assertSame(['14:00', $owner->getId()], [$gates->start->format('H:i'), $gates->hands?->id]);
        $this->post("/plan/{$job->getId()}/gates/pin", ['hands' => '', 'at' => '2126-06-09T14:00']);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-error]', 'no day and time');
        // Set at midnight nobody is there: it is said, not dropped.
        $this->post("/plan/{$job->getId()}/gates/pin", ['hands' => '', 'at' => '2026-06-10T00:10']);
        $board = $this->replanned();
        self::assertContains('gates', array_column($board->unplanned, 'kind'));
        $this->browser->request('GET', '/plan');
        $this->assertSays('set at a time at which it cannot be');
    }

    public function testTheDayShownIsMarkedAndWhatAPromiseHangsOnElsewhereBearsItsMachine(): void
    {
        $this->signIn();
        // More than anybody can do until then: whoever comes later hangs on what comes before.
        foreach (range(1, 16) as $_) {
            $this->promised('2026-06-09');
        }
        $promises = array_values(array_filter($this->replanned()->promises, static fn (array $one): bool => [] !== array_filter($one['hangsOn'], static fn (PlanItem $item): bool => $item->job !== $one['job'])));
        self::assertNotSame([], $promises);
        $other = array_values(array_filter($promises[0]['hangsOn'], static fn (PlanItem $item): bool => $item->job !== $promises[0]['job']))[0];
        $page = $this->browser->request('GET', '/plan?day=2026-06-10');

        self::assertSame('Wed, Jun 10', $page->filter('.plan-days .stands[aria-current]')->text());
        self::assertStringContainsString("#{$other->job->id} ", explode('It hangs on', $page->filter("[data-promise='{$promises[0]['job']->id}']")->text())[1] ?? '');
    }

    /** The hand of the clock is on the chart of its own day alone; of a shop that has shut for today the next day is shown. */
    public function testALongListIsShownToItsEndWhereItIsAskedFor(): void
    {
        foreach (range(1, 4) as $ignored) {
            $this->promised('2026-06-12');
        }
        $this->replanned();
        $this->signIn(Role::Technician);
        $page = $this->browser->request('GET', '/plan');
        $long = $page->filter('.plan-person')->reduce(static fn (Crawler $one): bool => 1 === preg_match('/([0-9]+) pieces/', $one->text(), $count) && (int) $count[1] > 8)->first();
        self::assertCount(8, $long->filter('[data-item]'));
        if (1 !== preg_match('/([0-9]+) pieces.*and ([0-9]+) more/s', $long->text(), $counts)) {
            self::fail('It does not say how many there are more.');
        }
        self::assertSame((int) $counts[1] - 8, (int) $counts[2]);

        $whole = $this->browser->click($long->selectLink('and '.$counts[2].' more')->link())->filter('#person-'.$long->attr('data-person'));
        self::assertCount((int) $counts[1], $whole->filter('[data-item]'));
        self::assertNotNull($whole->attr('open'));
        self::assertStringNotContainsString(' more', $whole->text());
        self::assertSame($long->filter('[data-item] a')->each(static fn (Crawler $one): ?string => $one->attr('href')), \array_slice($whole->filter('[data-item] a')->each(static fn (Crawler $one): ?string => $one->attr('href')), 0, 8));
        $this->browser->click($whole->filter('[data-item] a')->last()->link());
        self::assertResponseIsSuccessful();
        // Whose list is nobody's is a page like any.
        $this->browser->request('GET', '/plan?whole=x');
        self::assertResponseIsSuccessful();
    }

    public function testTheClockStandsOnItsOwnDay(): void
    {
        $this->signIn();
        $this->promised('2026-06-12');
        $board = $this->replanned();
        $now = static fn (string $day, string $at): ?int => self::service(DayCharts::class)->draw($board, new \DateTimeImmutable($day.' UTC'), new \DateTimeImmutable($at.' UTC'))->now;
        self::assertSame(0, $now('2026-06-09', '2026-06-09 00:00'));
        self::assertSame(555, $now('2026-06-09', '2026-06-09 09:15'));
        self::assertSame(1439, $now('2026-06-09', '2026-06-09 23:59'));
        self::assertNull($now('2026-06-10', '2026-06-09 09:15'));
        self::assertNull($now('2026-06-08', '2026-06-09 09:15'));
        self::mockTime(new \DateTimeImmutable('2026-06-09 22:00:00 UTC'));
        $this->replanned();
        self::assertSame('Wed, Jun 10', $this->browser->request('GET', '/plan')->filter('.plan-days .stands')->text());
    }

    public function testNoEngineIsCalledForPastAGate(): void
    {
        $this->signIn();
        $job = $this->promised('2026-06-12');
        $this->replanned();
        $this->post("/plan/{$job->getId()}/first_run/started", []);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-error]', 'a gate before that is not passed');
        self::assertSame([], self::service(MarkRepository::class)->open());
    }

    public function testAPartAndAWaitAndAnOwnersWordAreWaitedFor(): void
    {
        $job = $this->promised('2026-06-30');
        $part = new WantedPart($job, 'Needle', 1, $this->member(Role::Technician), new \DateTimeImmutable('2026-06-08'));
        $part->becomes(WantedState::Ordered, new \DateTimeImmutable('2026-06-08'));
        $part->expect(new \DateTimeImmutable('2026-06-15'), new \DateTimeImmutable('2026-06-08'));
        self::entities()->persist($part);
        self::entities()->persist(new Wait($job, WaitKind::SettleTank, $this->member(Role::Technician), new \DateTimeImmutable('2026-06-09 08:50 UTC'), new \DateTimeImmutable('2026-06-09 10:00 UTC')));
        self::entities()->flush();
        $board = $this->replanned();

        self::assertGreaterThanOrEqual('2026-06-15 08:00', $this->item($board, 'first_run')->start->format('Y-m-d H:i'));
        self::assertLessThan('2026-06-10', $this->item($board, 'gates')->start->format('Y-m-d H:i'));
        self::assertGreaterThanOrEqual('10:00', $this->item($board, 'cause')->start->format('H:i'));
    }

    public function testWhatStandsAlreadyIsNotPutUpToStandAgain(): void
    {
        $kinds = static fn (PlanBoard $board): array => array_map(static fn (PlanItem $item): string => $item->kind, $board->items);
        $job = $this->promised('2026-06-30');
        $this->found($job, Finding::number('claim.idle_months', 26));
        self::assertContains('settle', $kinds($this->replanned()));
        $wait = static fn (Job $job, WaitKind $kind, Member $by): Wait => new Wait($job, $kind, $by, new \DateTimeImmutable('2026-06-09 08:50 UTC'), new \DateTimeImmutable('2026-06-09 10:00 UTC'));
        self::entities()->persist($wait($this->again($job), WaitKind::StandsCold, $this->member(Role::Technician)));
        self::entities()->flush();
        self::assertContains('settle', $kinds($this->replanned()), 'an engine that cools settles no fuel');
        self::entities()->persist($wait($this->again($job), WaitKind::SettleTank, $this->member(Role::Technician)));
        self::entities()->flush();
        self::assertNotContains('settle', $kinds($this->replanned()));
    }

    public function testWhatWaitsBeyondWhatTheBarShowsIsPlannedAroundToo(): void
    {
        $jobs = [];
        foreach (range(0, WaitLines::MOST) as $later) {
            $jobs[] = $job = $this->promised('2026-06-12');
            self::entities()->persist(new Wait($job, WaitKind::SettleTank, $this->member(Role::Technician), new \DateTimeImmutable('2026-06-09 08:50 UTC'), new \DateTimeImmutable('2026-06-09 12:00 UTC +'.$later.' minutes')));
        }
        self::entities()->flush();
        $board = $this->replanned();
        foreach ($jobs as $job) {
            $cause = array_values(array_filter($board->items, static fn (PlanItem $item): bool => $item->job->id === $job->getId() && 'cause' === $item->kind))[0] ?? self::fail('Nothing is planned for it.');
            self::assertGreaterThanOrEqual('2026-06-09 12:00', $cause->start->format('Y-m-d H:i'));
        }
    }

    public function testNobodyAtWorkIsSaidWithTheRemedy(): void
    {
        $this->signIn(Role::Owner);
        $this->promised('2026-06-12');
        foreach (Role::cases() as $role) {
            $member = $this->member($role);
            $this->post('/plan/hours/'.$member->getId(), array_fill_keys(array_map(static fn (int $day): string => 'day'.$day, range(1, 7)), ''));
            self::assertResponseRedirects('/plan/hours');
        }
        $board = $this->replanned();
        self::assertNotSame([], $board->unplanned);
        self::assertSame([], array_filter($board->items, static fn (PlanItem $item): bool => null !== $item->hands));
        $this->browser->request('GET', '/plan');
        $this->assertSays('Set longer hours');
    }

    /** @return iterable<string, array{string, int, int}> setting, the least and the most that is taken */
    public static function settings(): iterable
    {
        yield 'lifts' => ['lifts', 1, 20];
        yield 'places in the bath' => ['bath_places', 1, 50];
        yield 'minutes in the bath' => ['bath_minutes', 1, 240];
        yield 'latitude' => ['latitude', -65, 65];
    }

    #[DataProvider('settings')]
    public function testWhatIsSharedHasItsBounds(string $setting, int $least, int $most): void
    {
        $this->signIn(Role::Owner);
        $usual = ['lifts' => '1', 'bath_places' => '3', 'bath_minutes' => '10', 'pad_since' => '9:00', 'pad_until' => '18:00', 'latitude' => '46'];
        foreach ([$least, $most] as $taken) {
            $this->post('/plan/equipment', [$setting => (string) $taken] + $usual);
            self::assertResponseRedirects('/plan/hours');
            self::entities()->clear();
            self::assertSame($taken, self::service(Workplace::class)->equipment()->all()[$setting]);
        }
        foreach ([$least - 1, $most + 1] as $refused) {
            $page = $this->post('/plan/equipment', [$setting => (string) $refused] + $usual);
            self::assertResponseStatusCodeSame(422);
            self::assertSame((string) $refused, $page->filter("[name=$setting]")->attr('value'), 'what was typed is there');
        }
        self::entities()->clear();
        self::assertSame($most, self::service(Workplace::class)->equipment()->all()[$setting]);
    }

    public function testHoursAndAbsencesAreKeptAndWhatIsWrongIsNotLost(): void
    {
        $this->signIn(Role::Owner);
        $technician = $this->member(Role::Technician);
        $week = ['day1' => '7:30-12', 'day2' => '', 'day3' => '8 - 16:30', 'day4' => '8:00-16:30', 'day5' => '8:00-16:30', 'day6' => '', 'day7' => ''];
        $this->post('/plan/hours/'.$technician->getId(), $week);
        $this->post('/plan/away', ['who' => (string) $technician->getId(), 'first' => '2026-06-10', 'last' => '', 'part' => 'morning', 'note' => 'Dentist']);
        $this->post('/plan/away', ['who' => '', 'first' => '2026-06-11', 'last' => '2026-06-12', 'part' => 'whole', 'note' => 'Lake fair']);
        $open = null;
        foreach (self::service(Workplace::class)->resources(self::service(Plans::class)->now(), 7) as $resource) {
            $open = Workplace::personId($technician) === $resource->id ? $resource->openings->stretches : $open;
        }
        // From Tuesday nine o'clock: free on Tuesday; Wednesday from 12:30, the fair, the week's end; Monday 7:30 to 12.
        self::assertSame([[1650, 1890], [8550, 8820]], $open);
        $this->post('/plan/hours/'.$technician->getId(), ['day1' => '8 until late'] + $week);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('Hours are written like');
        self::assertStringContainsString('8 until late', (string) $this->browser->getResponse()->getContent());
        $this->post('/plan/away', ['who' => '', 'first' => 'soon', 'last' => '', 'part' => 'whole', 'note' => 'kept']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('value="kept"', (string) $this->browser->getResponse()->getContent());
        $this->post('/plan/equipment', ['lifts' => '2', 'bath_places' => '4', 'bath_minutes' => '8', 'pad_since' => '10', 'pad_until' => '17:30', 'latitude' => '60', 'first_snow' => '2026-10-20']);
        self::assertResponseRedirects('/plan/hours');
        self::assertSame(2, self::service(Workplace::class)->equipment()->all()['lifts']);
        $this->browser->request('GET', '/plan/ahead');
        self::assertSelectorTextContains('[data-before=snow]', 'Oct 20, 2026');
        self::assertSelectorTextContains('[data-before=snow]', 'Your own day');
    }

    public function testThePadIsOpenByDaylight(): void
    {
        $equipment = self::service(Workplace::class)->equipment();
        // Sunset at 46° north on the shortest day is about 16:20 by the sun, on the longest about 19:55 (published: any almanac).
        [, $winter] = $equipment->padHours(new \DateTimeImmutable('2026-12-21')) ?? [0, 0];
        [, $summer] = $equipment->padHours(new \DateTimeImmutable('2026-06-22')) ?? [0, 0];
        self::assertEqualsWithDelta(16 * 60 + 20, $winter, 12);
        self::assertSame(18 * 60, $summer, 'noise hours end before daylight');
        self::assertNull($equipment->padHours(new \DateTimeImmutable('2026-06-21')), 'a Sunday');
    }

    public function testThePlanGoesOutAsTableDrawingSheetAndCalendar(): void
    {
        $owner = $this->member(Role::Owner);
        $this->signInAs($owner);
        $this->promised('2026-06-12', 'Heron; "bill"');
        $board = $this->replanned();
        $this->browser->request('GET', '/plan.csv');
        self::assertStringContainsString('begins_at,ends_at,hands,places,job,machine,piece', (string) $this->browser->getResponse()->getContent());
        self::assertStringContainsString('"Heron; ""bill"""', (string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', '/plan.svg');
        self::assertResponseHeaderSame('Content-Type', 'image/svg+xml');
        self::assertNotFalse(simplexml_load_string((string) $this->browser->getResponse()->getContent()));
        $this->browser->request('GET', '/plan/sheet');
        self::assertSelectorTextContains('.day-sheet', 'Look it over');
        $this->post('/plan/feed', ['what' => 'make']);
        $link = $this->browser->followRedirect()->filter('.long-link')->text();
        $this->browser->restart();
        $this->browser->request('GET', (string) parse_url($link, \PHP_URL_PATH));
        self::assertResponseIsSuccessful();
        $calendar = (string) $this->browser->getResponse()->getContent();
        self::assertSame([], Reader::read($calendar)->validate());
        $own = array_values(array_filter($board->items, static fn (PlanItem $item): bool => $item->hands?->id === $owner->getId()));
        self::assertNotSame([], $own);
        preg_match_all('/^(DTSTART|DTEND|STATUS):([^\r\n]+)/m', $calendar, $said);
        $utc = static fn (\DateTimeImmutable $at): string => $at->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\THis\Z');
        self::assertSame(array_merge(...array_map(static fn (PlanItem $item): array => [$utc($item->start), $utc($item->end), $item->isLikely ? 'TENTATIVE' : 'CONFIRMED'], $own)), $said[2]);
        $this->signIn(Role::Owner);
        $this->post('/plan/feed', ['what' => 'end']);
        $this->browser->request('GET', (string) parse_url($link, \PHP_URL_PATH));
        self::assertResponseStatusCodeSame(404);
    }

    public function testASlipIsMendedWithFewChangesAndSaid(): void
    {
        $this->signIn();
        foreach (range(1, 6) as $number) {
            $this->promised('2026-06-1'.$number, 'Mower '.$number);
        }
        $before = $this->replanned();
        $this->post("/plan/{$before->items[0]->job->id}/{$before->items[0]->kind}/cannot", ['until' => 'tomorrow', 'reason' => 'rain']);
        $after = $this->replanned();

        self::assertNotSame([], $after->changes);
        self::assertLessThan(\count($before->items) / 2, \count($after->changes));
        $had = array_column($before->items, null, 'id');
        foreach ($after->changes as [$item, $from, $by, $instead]) {
            self::assertSame([$item->hands->name ?? '', $had[$item->id]->hands->name ?? '', $had[$item->id]->start->format('c')], [$instead, $by, $from->format('c')], $item->id);
        }
        self::assertNotSame('', implode('', array_column($after->changes, 3)), 'by whom');
        $this->browser->request('GET', '/plan');
        $this->assertSays('What changed with the last plan');
    }

    public function testIntakeOffersADayAndAJobSaysWhenItIsTakenUp(): void
    {
        $this->signIn();
        $job = $this->promised('2026-06-12');
        $this->replanned();
        $this->browser->request('GET', '/take-in');
        self::assertSelectorTextContains('[data-offer]', 'nineteen in twenty');
        $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSelectorTextContains('[data-planned]', 'Look it over');
    }

    /** The number of the last plan; nought where there is none. */
    private function number(): int
    {
        return self::service(Plans::class)->last()?->getId() ?? 0;
    }

    private function promised(string $day, string $label = 'Heronbill test mower'): Job
    {
        $job = $this->job(label: $label);
        $job->wantedFor(new \DateTimeImmutable($day), '');
        self::entities()->flush();

        return $job;
    }

    /** Numbers are shared with other shops, and on three nodes every third is used: what is kept is counted, not reckoned. */
    public function testAsManyPlansAreKeptOfThisShopHoweverManyOthersMake(): void
    {
        $versions = self::service(PlanVersionRepository::class);
        $database = self::entities()->getConnection();
        $at = new \DateTimeImmutable('2026-06-09 09:00 UTC');
        $of = static fn (int $shop): int => (int) (is_numeric($count = $database->fetchOne('SELECT COUNT(*) FROM plan_version WHERE shop_id = ?', [$shop])) ? $count : -1);
        for ($n = 1; $n <= 103; ++$n) {
            $versions->keep(new PlanVersion($at, [], [], [], [], [], $at));
            $database->executeStatement("INSERT INTO plan_version (begins_at, problem, plan, odds, savings, changes, made_at, shop_id) SELECT '2026-06-09', '{}', '{}', '{}', '{}', '{}', '2026-06-09', 77 FROM seq_1_to_2");
            self::assertSame(min(100, $n), $of(1), "after $n");
        }
        self::assertSame(206, $of(77));
    }

    private function replanned(): PlanBoard
    {
        self::entities()->clear();
        self::service(Plans::class)->replan();

        return self::service(PlanBoards::class)->last() ?? self::fail('There is no plan.');
    }

    private function item(PlanBoard $board, string $kind): PlanItem
    {
        foreach ($board->items as $item) {
            if ($item->kind === $kind) {
                return $item;
            }
        }
        self::fail('Nothing of that kind is planned.');
    }

    /** @return list<string> what the independent checker finds wrong with the plan as it was kept */
    private function faults(PlanBoard $board): array
    {
        $version = self::entities()->find(PlanVersion::class, $board->version) ?? self::fail('It was not kept.');
        $problem = ProblemFormat::parse(json_encode($version->getProblem(), \JSON_THROW_ON_ERROR));
        $operations = array_column(array_map(static fn ($one): array => [$one->id, $one], $problem->operations), 1, 0);
        $placed = [];
        /** @var list<array{id: string, start: int, end: int, uses: list<string>}> $kept */
        $kept = $version->getPlan()['operations'];
        foreach ($kept as ['id' => $id, 'start' => $start, 'end' => $end, 'uses' => $uses]) {
            foreach ($operations[$id]->ways() as $way => $taken) {
                if (array_column($taken, 0) === $uses) {
                    $placed[] = new Placed($operations[$id], $start, $end, $way);
                }
            }
        }

        return array_map(static fn (array $fault): string => $fault[0]->id.' '.$fault[1]->value, Checker::faults(new Plan($problem, $placed, [])));
    }
}
