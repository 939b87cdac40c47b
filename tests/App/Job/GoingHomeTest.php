<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Job;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\NotByTakingBack;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Tests\App\ShedTestCase;

/** The way home: what refuses it, what is to be answered for, and that nothing sends a machine home by the back door. */
final class GoingHomeTest extends ShedTestCase
{
    public function testADrainedCrankcaseDoesNotGoHomeWhateverIsSaid(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->did($job, 'crankcase.drained');
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/hand-back');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('[data-refused]', 'Its crankcase is drained.');
        self::assertSame('/jobs/'.$job->getId().'/stages/flush#step-flush-fill_1', $page->filter('[data-refused] a')->attr('href'));
        self::assertSelectorNotExists('main form[action$="hand-back"]');
        $this->post('/jobs/'.$job->getId().'/hand-back', ['reason' => 'He is in a hurry']);
        self::assertResponseStatusCodeSame(409);
        self::assertFalse($this->again($job)->isHandedBack());
    }

    public function testWhatIsNotShownIsListedAndAReasonIsKept(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('jar.smell', 'stale'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/hand-back');
        self::assertSelectorTextContains('[data-doubts]', 'Run under load');
        self::assertSelectorTextContains('[data-doubts]', 'The fuel is known to be stale');
        $this->browser->submit($page->selectButton('Hand it back')->form());
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorExists('#reason-wanted');
        $this->browser->submit($this->browser->getCrawler()->selectButton('Hand it back')->form(['reason' => 'For parts, the owner knows']));
        self::assertResponseRedirects('/jobs/'.$job->getId());
        $job = $this->again($job);
        self::assertSame([Progress::HandedBack, 'For parts, the owner knows'], [$job->getStand(), $job->getHandBackReason()]);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Why it went as it was: For parts, the owner knows');
        self::assertDoesNotMatchRegularExpression('/\d{4}-\d\d-\d\dT\d\d:\d\d/', strip_tags((string) $this->browser->getResponse()->getContent()), 'a time is said as people say it');
    }

    public function testWhatWasGonePastAtTheBenchIsSaidOnTheWayHome(): void
    {
        $this->signIn();
        $job = $this->job();
        foreach ([['what' => 'begin', 'type' => 'bowl_brass'], ['what' => 'off', 'kind' => 'idle_stop'], ['what' => 'condition', 'place' => '1', 'condition' => 'film'], ['what' => 'on', 'place' => '1']] as $move) {
            $this->post('/jobs/'.$job->getId().'/carburetor', $move);
            self::assertResponseRedirects();
        }
        $this->browser->request('GET', '/jobs/'.$job->getId().'/hand-back');
        self::assertSelectorTextContains('[data-doubts]', 'A part that was to be cleaned went back as it was.');
        self::assertSelectorTextContains('[data-doubts]', 'A screw came out before its turns were written down.');
    }

    public function testAProvedMachineGoesHomeByOneTap(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        foreach (['start.plain' => 'runs', 'run.steady' => 'steady', 'run.choke_off' => 'steady', 'run.load' => 'holds', 'run.minutes_later' => 'keeps_running'] as $test => $outcome) {
            $this->found($job, Finding::observed($test, $outcome));
        }
        self::assertSame(Progress::FitToGoHome, $this->again($job)->getStand());
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/hand-back');
        $this->assertSays('Fit to go home.');
        $this->browser->submit($page->selectButton('Hand it back')->form());
        self::assertResponseRedirects('/jobs/'.$job->getId());
        self::assertTrue($this->again($job)->isHandedBack());
    }

    public function testTakingBackAReopeningDoesNotHandTheMachineBack(): void
    {
        $this->signIn();
        $job = $this->job();
        foreach (['The owner fetched it', ''] as $reason) {
            $this->post('/jobs/'.$job->getId().'/hand-back', ['reason' => $reason]);
        }
        self::assertFalse($this->again($job)->isHandedBack());
        $entries = $this->record($this->again($job))->entries;
        try {
            self::service(Recorder::class)->withdraw($entries[\count($entries) - 1], $this->member(Role::Technician), RequestKey::fresh());
            self::fail('It went home.');
        } catch (NotByTakingBack) {
            self::assertFalse($this->again($job)->isHandedBack());
        }
    }

    public function testAJobWaitsForItsOwnerOrForDaylightWhereThatHoldsItUp(): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId());
        $this->browser->submit($page->filter('#waits-on')->selectButton('the customer’s word')->form());
        self::assertSame(['waits', 'owner'], [$this->again($job)->getStand()->value, $this->again($job)->getWaitsFor()]);
        $page = $this->browser->followRedirect();
        self::assertSelectorTextContains('.verdict', 'The customer’s word');
        $this->found($this->again($job), Finding::observed('look.oil_level', 'at_mark'));
        self::assertSame('waits', $this->again($job)->getStand()->value, 'what is found meanwhile does not answer for the owner');
        $this->browser->submit($this->browser->request('GET', '/jobs/'.$job->getId())->selectButton('It came: go on')->form());
        self::assertSame('at_gates', $this->again($job)->getStand()->value);
        $this->post('/jobs/'.$job->getId().'/waits-on', ['for' => 'daylight']);
        self::assertSame('at_gates', $this->again($job)->getStand()->value, 'the gates are walked by lamplight');
        $job = $this->pastGates($this->again($job));
        $this->found($job, Finding::observed('jar.tank', 'clear_one_layer'), Finding::observed('jar.smell', 'fresh'));
        self::assertSame(['waits', 'daylight'], [$this->again($job)->getStand()->value, $this->again($job)->getWaitsFor()]);
        $this->post('/jobs/'.$job->getId().'/waits-on', ['for' => 'luck']);
        self::assertResponseStatusCodeSame(404);
    }

    public function testATimerThatRunsIsSaidInTheHeadOfItsJob(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/deeds', ['act' => 'crankcase.drained', 'ml' => '600', 'back' => '']);
        $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSelectorTextContains('.verdict [data-waits="drain_oil"]', 'Meanwhile: oil draining');
    }

    private function did(Job $job, string $act): void
    {
        self::service(Recorder::class)->observe($job, $this->member(Role::Technician), RequestKey::fresh(), [new Done(self::service(Vocabulary::class)->act($act))]);
    }
}
