<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Job;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Photo\PhotoStore;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Tests\App\ShedTestCase;

/** Lines in one's own words, answers that hold together, captions, and whose hands a machine is in. */
final class NotesTest extends ShedTestCase
{
    public function testANoteStandsBesideItsFindingAndInTheHistoryAndIsTakenBackLikeAnyEntry(): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->job();
        $this->found($job, Finding::observed('look.plug', 'gas_wet'));
        $address = '/jobs/'.$job->getId();
        $this->post($address.'/notes', ['about' => 'look.plug', 'text' => 'Only the thread <b>side</b>', 'back' => 'test:look.plug']);
        self::assertResponseRedirects($address.'/tests/look.plug');
        $this->browser->request('GET', $address.'/tests/look.plug');
        self::assertSelectorTextContains('.noted', 'Only the thread <b>side</b>');
        self::assertSelectorExists('input[name=text][maxlength="500"]');
        $this->post($address.'/notes', ['about' => 'flush.fill_1', 'text' => 'The yellow can', 'back' => 'stage:flush']);
        self::assertResponseRedirects($address.'/stages/flush');
        $page = $this->browser->request('GET', $address.'/history');
        $this->assertSays('Note, Spark plug: Only the thread');
        $this->browser->submit($page->filter('.entry')->eq(0)->selectButton('Undo')->form());
        $this->browser->request('GET', $address.'/stages/flush');
        self::assertSelectorNotExists('.noted');
    }

    public function testANoteOnNothingAndAnEmptyOneAreNotWritten(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/notes', ['about' => 'look.moon', 'text' => 'Full', 'back' => '']);
        self::assertGreaterThanOrEqual(400, $this->browser->getResponse()->getStatusCode());
        self::assertLessThan(500, $this->browser->getResponse()->getStatusCode());
        $this->post('/jobs/'.$job->getId().'/notes', ['about' => 'job', 'text' => '  ', 'back' => 'job']);
        $this->browser->followRedirect();
        $this->assertSays('Nothing was written.');
    }

    public function testOfALookOfWhichSeveralHoldASecondTapJoinsTheFirst(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('look.plug', 'like_new'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/look.plug');
        $this->browser->submit($page->selectButton('Wet with gas')->form());
        self::assertSame(['like_new', 'gas_wet'], $this->record($this->again($job))->case()->standing('look.plug')?->outcomes);
    }

    public function testAPhotoSaysWhatItShows(): void
    {
        $this->signIn();
        $job = $this->job();
        $picture = imagecreatetruecolor(8, 8);
        $file = tempnam(sys_get_temp_dir(), 'photo');
        self::assertIsString($file);
        imagepng($picture, $file);
        self::service(PhotoStore::class)->add($job, $this->member(Role::Technician), [$file]);
        self::entities()->flush();
        $photo = self::service(PhotoRepository::class)->ofJob($job)[0];
        $this->post('/photos/'.$photo->getId().'/caption', ['caption' => 'Governor spring, upper hole']);
        self::assertResponseRedirects();
        $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSelectorTextContains('.photos .caption', 'Governor spring, upper hole');
        self::assertSelectorExists('.photos img[alt="Governor spring, upper hole"]');
    }

    public function testTheShedSaysInWhoseHandsAMachineIs(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId());
        $this->browser->submit($page->selectButton('I have it')->form());
        $this->browser->request('GET', '/');
        self::assertSelectorTextContains('.shed-row .with', explode(' ', $this->member(Role::Technician)->getName())[0]);
        $page = $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSelectorNotExists('form[action$="/with"] input[name="member"][value="'.$this->member(Role::Technician)->getId().'"]');
        $this->browser->submit($page->selectButton('Lay it down')->form());
        $this->browser->request('GET', '/');
        self::assertSame('', trim($this->browser->getCrawler()->filter('.shed-row .with')->text('')));
    }
}
