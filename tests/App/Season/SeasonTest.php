<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Season;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Tests\App\ShedTestCase;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;

/** Service, laying up, and the days of a machine as iCalendar. */
final class SeasonTest extends ShedTestCase
{
    public function testWhatWasDoneOnAnEarlierStayIsDueWhenItsTimeIsUp(): void
    {
        $this->signIn();
        $first = $this->home('-20 months', 'service.blade', 'sharpened');
        $second = new Job($this->again($first)->getMachine(), $this->member(Role::Technician), new \DateTimeImmutable());
        self::entities()->persist($second);
        self::entities()->flush();
        $this->post('/jobs/'.$second->getId().'/acts', ['step' => 'service.plug', 'choice' => 'renewed']);
        self::assertResponseRedirects('/jobs/'.$second->getId().'/stages/service');
        $this->browser->request('GET', '/jobs/'.$second->getId().'/stages/service');
        self::assertSelectorExists('[data-service="service.blade"][data-due="overdue"]');
        self::assertSelectorExists('[data-service="service.air_filter"][data-due="never_done"]');
        self::assertSelectorNotExists('[data-service="service.plug"]', 'it is done');
        self::assertSame('renewed', $this->record($this->again($second))->case()->state->stateOf('plug'), 'a planned renewal is an act like any');
    }

    public function testThePlanOfLayingUpIsAStageAndASheet(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/schools', ['question' => 'layup', 'school' => 'full_and_stabilised']);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/layup');
        $this->assertSays('Stabilizer in');
        $tool = $this->job(MachineKind::TwoStrokeHandTool);
        $this->browser->request('GET', '/jobs/'.$tool->getId().'/schools');
        self::assertSelectorTextContains('#school-layup ~ form .stands', 'Two-stroke oil in the tank', 'what its kind is laid up by stands there as it is followed');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/papers/lay_up');
        self::assertSelectorTextContains('[data-section="sheet_steps"]', 'Run, so that it reaches the bowl, 10 min');
        self::assertSelectorTextContains('[data-section="sheet_needs"]', 'Spark plug');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/papers/lay_up.pdf');
        self::assertResponseHeaderSame('Content-Type', 'application/pdf');
    }

    public function testTheDaysOfAMachineAreValidAndTheSameEachTime(): void
    {
        $this->signIn();
        $job = $this->home('-2 days', 'service.plug', 'renewed');
        $this->browser->request('GET', '/machines/'.$job->getMachine()->getId().'/days.ics');
        $calendar = $this->calendar();
        self::assertSame([], $calendar->validate());
        self::assertCount(3, $calendar->select('VEVENT'), 'laid up, woken, serviced');
        foreach ($calendar->select('VEVENT') as $event) {
            self::assertInstanceOf(VEvent::class, $event);
            // Whole days, which hold nobody up.
            preg_match('/^DTSTART;VALUE=DATE:(\d{8})\s+DTEND;VALUE=DATE:(\d{8})\s*$/m', $event->serialize(), $days);
            self::assertSame($days[2] ?? 'none', (new \DateTimeImmutable($days[1] ?? 'now'))->modify('+1 day')->format('Ymd'));
            self::assertStringContainsString('TRANSP:TRANSPARENT', $event->serialize());
        }
        $uids = static function (VCalendar $one): array {
            preg_match_all('/^UID:(.*)$/m', $one->serialize(), $found);

            return $found[1];
        };
        $this->browser->request('GET', '/machines/'.$job->getMachine()->getId().'/days.ics');
        self::assertSame($uids($calendar), $uids($this->calendar()));
        self::assertStringContainsString('SUMMARY:Wake: Heronbill test mower', (string) $this->browser->getResponse()->getContent());
    }

    public function testTheFeedIsForWhoeverHasItsLinkAndEndsWithIt(): void
    {
        $this->signIn();
        $this->home('-2 days', 'service.plug', 'renewed');
        $this->post('/season/feed', ['what' => 'make']);
        self::assertResponseStatusCodeSame(403);
        $this->signIn(Role::Owner);
        $this->post('/season/feed', ['what' => 'make']);
        $link = $this->browser->followRedirect()->filter('a.long-link')->attr('href') ?? '';
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', $link);
        self::assertResponseIsSuccessful();
        self::assertSame([], $this->calendar()->validate());
        self::assertStringNotContainsString('Cabin 4', (string) $this->browser->getResponse()->getContent(), 'names of machines and their days, nothing else');
        $this->browser->request('GET', str_replace('.ics', '', $link));
        self::assertNotSame(200, $this->browser->getResponse()->getStatusCode());
        $this->signIn(Role::Owner);
        $this->post('/season/feed', ['what' => 'end']);
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', $link);
        self::assertResponseStatusCodeSame(404);
    }

    private function calendar(): VCalendar
    {
        $calendar = Reader::read((string) $this->browser->getResponse()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);

        return $calendar;
    }

    private function home(string $when, string $step, string $choice): Job
    {
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => $step, 'choice' => $choice]);
        $job = $this->again($job);
        $job->handBack(new \DateTimeImmutable($when));
        self::entities()->flush();

        return $job;
    }
}
