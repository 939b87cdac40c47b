<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Life;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** A machine that was here before is found, starts from what is known, and is asked why it is here so soon. */
final class KnownMachineTest extends ShedTestCase
{
    /** @return iterable<string, array{string}> */
    public static function waysToFind(): iterable
    {
        yield 'its serial number' => ['HB-0042'];
        yield 'its owner' => ['cabin 4'];
        yield 'its name' => ['Heronbill test'];
        yield 'the number on its tag' => ['#'];
    }

    #[DataProvider('waysToFind')]
    public function testItIsFoundAndStartsFromWhatIsKnown(string $typed): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->home('-100 days');
        $page = $this->browser->click($this->browser->request('GET', '/take-in')->selectLink('Here before?')->link());
        $page = $this->browser->submit($page->selectButton('Look it up')->form(['known' => '#' === $typed ? '#'.$job->getId() : $typed]));
        $page = $this->browser->click($page->selectLink('Heronbill test mower, Cabin 4, HB-0042')->link());
        self::assertSelectorExists('[data-known]');
        self::assertInputValueSame('intake[serial]', 'HB-0042');
        self::assertInputValueSame('intake[ownerName]', 'Cabin 4');
        $this->browser->submit($page->selectButton('Take it in')->form());
        self::assertResponseRedirects();
        $second = $this->last();
        self::assertNotSame($job->getId(), $second->getId());
        self::assertSame($job->getMachine()->getId(), $second->getMachine()->getId());
        self::assertNull($second->getSoonAfter(), 'a hundred days are no comeback');
        $this->browser->request('GET', '/machines/'.$second->getMachine()->getId());
        self::assertSelectorTextContains('.stays', '#'.$job->getId());
    }

    public function testSoonAfterItIsAskedWhatWasMissedAndBothStaysSayIt(): void
    {
        $this->signIn();
        $first = $this->home('-20 days');
        $this->browser->submit($this->browser->request('GET', '/take-in?machine='.$first->getMachine()->getId())->selectButton('Take it in')->form());
        $second = $this->last();
        self::assertSame($first->getId(), $second->getSoonAfter()?->getId());
        $page = $this->browser->request('GET', '/jobs/'.$second->getId());
        self::assertSelectorExists('[data-comeback="asked"]');
        $this->browser->submit($page->selectButton('Yes, it came back')->form(['missed' => 'The needle was only lip-tested']));
        self::assertTrue($this->again($second)->isComeback());
        $this->browser->request('GET', '/jobs/'.$second->getId());
        self::assertSelectorTextContains('[data-comeback="yes"]', 'lip-tested');
        $this->browser->request('GET', '/jobs/'.$first->getId());
        self::assertSelectorTextContains('[data-came-back]', 'lip-tested');
        $this->browser->request('GET', '/jobs/'.$second->getId().'/history');
        $this->assertSays('What was missed: The needle was only lip-tested');
        $this->post('/jobs/'.$first->getId().'/comeback', ['is' => 'yes']);
        self::assertResponseStatusCodeSame(404);
    }

    public function testWhatIsKnownIsWrittenDownTakenBackByItsWriterAndTheModelTeachesTheNext(): void
    {
        $this->signIn();
        $first = $this->home('-90 days', new PutRight('carb.pilot_blocked'));
        $alike = new Job(new \AwakeShed\App\Job\Machine('Another', new MachineFacts(MachineKind::Mower, plate: ['maker' => 'Heronbill', 'model' => 'Test 21', 'serial' => 'HB-0099']), 'Cabin 9', ''), $this->member(Role::Technician), new \DateTimeImmutable());
        self::entities()->persist($alike);
        self::entities()->flush();
        $this->browser->request('GET', '/machines/'.$alike->getMachine()->getId());
        self::assertSelectorTextContains('[data-alike]', 'Pilot');
        $this->browser->request('GET', '/jobs/'.$alike->getId().'/likely');
        self::assertSelectorTextContains('[data-alike]', 'pilot');
        $at = '/machines/'.$first->getMachine()->getId();
        $page = $this->browser->request('GET', $at);
        $this->browser->submit($page->selectButton('Write it down')->form(['topic' => 'torque', 'text' => 'Blade bolt 40 ft lb']));
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-note]', 'Blade bolt 40 ft lb');
        $this->browser->request('GET', '/jobs/'.$alike->getId().'/stages/service');
        self::assertSelectorNotExists('[data-known-note]', 'another machine');
        $second = new Job($this->again($first)->getMachine(), $this->member(Role::Technician), new \DateTimeImmutable());
        self::entities()->persist($second);
        self::entities()->flush();
        $this->browser->request('GET', '/jobs/'.$second->getId().'/stages/service');
        self::assertSelectorTextContains('#step-service-blade [data-known-note]', 'Blade bolt 40 ft lb');
        $this->post($at.'/notes', ['topic' => 'torque', 'text' => ' ']);
        self::assertResponseStatusCodeSame(422);
        $page = $this->browser->request('GET', $at);
        $this->browser->submit($page->selectButton('Take it back')->form());
        $this->browser->followRedirect();
        self::assertSelectorNotExists('[data-note]');
        $this->post($at.'/hours', ['hours' => 'many']);
        self::assertResponseStatusCodeSame(422);
        self::assertInputValueSame('hours', 'many');
        $this->post($at.'/hours', ['hours' => '120']);
        self::assertSame(120.0, $this->again($first)->getMachine()->getHoursAYear());
        $this->post($at.'/hours', ['hours' => '8761']);
        self::assertInputValueSame('hours', '8761', 'what was typed is not lost');
        $this->assertSays('allowed is 0 to 8760 h');
        self::assertSame(120.0, $this->again($first)->getMachine()->getHoursAYear(), 'a year has no more');
        $this->post($at.'/hours', ['hours' => '8760']);
        self::assertSame(8760.0, $this->again($first)->getMachine()->getHoursAYear());
    }

    public function testWhatIsNobodysIsTakenInAsNew(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/take-in?known=%25&machine=999999');
        self::assertResponseIsSuccessful();
        $this->assertSays('Nothing of that name');
    }

    private function home(string $when, PutRight ...$cured): Job
    {
        $job = $this->job();
        $job->getMachine()->describe('Heronbill test mower', new MachineFacts(MachineKind::Mower, plate: ['maker' => 'Heronbill', 'model' => 'Test 21', 'serial' => 'HB-0042']), 'Cabin 4', '');
        $job->file();
        self::entities()->flush();
        $this->found($job, ...$cured);
        $job = $this->again($job);
        $job->handBack(new \DateTimeImmutable($when));
        self::entities()->flush();

        return $job;
    }

    private function last(): Job
    {
        self::entities()->clear();

        return self::service(JobRepository::class)->findOneBy([], ['id' => 'DESC']) ?? self::fail('None is there.');
    }
}
