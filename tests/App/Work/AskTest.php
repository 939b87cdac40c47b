<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Work;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\App\ShedTestCase;

/** What would bring a machine back is asked where it starts; going on wants a reason, and the reason stays. */
final class AskTest extends ShedTestCase
{
    public function testAStartOnStaleFuelIsAskedFirstAndTheReasonStandsOnTheWayHome(): void
    {
        $this->signIn();
        $job = $this->stale();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/start.plain');
        self::assertSelectorTextContains('[data-ask="ask.stale_start"]', 'The fuel is known to be stale');
        self::assertSelectorExists('[data-ask="ask.stale_start"] a[href*="tank"]', 'what answers it is a tap away');
        self::assertSelectorNotExists('main form[action$="/findings"]', 'first it is answered');
        $this->browser->submit($page->selectButton('Go on')->form(['reason' => 'Only to hear it run']));
        self::assertResponseRedirects('/jobs/'.$job->getId().'/tests/start.plain');
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-gone-past]', 'Only to hear it run');
        self::assertSelectorExists('main form[action$="/findings"]');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/hand-back');
        self::assertSelectorTextContains('[data-doubts] [data-gone-past]', 'Only to hear it run');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Gone past: The fuel is known to be stale');
    }

    public function testAReasonCountsOnlyForWhatItWasGivenFor(): void
    {
        $this->signIn();
        $job = $this->stale();
        $this->post('/jobs/'.$job->getId().'/gone-past', ['ask' => 'ask.stale_start', 'reason' => 'Only to hear it run', 'back' => '']);
        self::assertResponseRedirects();
        $this->found($this->again($job), new Done(self::service(Vocabulary::class)->act('tank.drained')), new Done(self::service(Vocabulary::class)->act('tank.filled')), Finding::observed('jar.smell', 'stale'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/start.plain');
        self::assertSelectorExists('[data-ask="ask.stale_start"]', 'the fuel is another');
    }

    public function testNothingIsGonePastWithoutAReasonOrByAnApprentice(): void
    {
        $this->signIn();
        $job = $this->stale();
        $this->post('/jobs/'.$job->getId().'/gone-past', ['ask' => 'ask.stale_start', 'reason' => ' ', 'back' => '']);
        $this->browser->followRedirect();
        $this->assertSays('Say why you go on');
        $this->post('/jobs/'.$job->getId().'/gone-past', ['ask' => 'ask.moon', 'reason' => 'x', 'back' => '']);
        self::assertResponseStatusCodeSame(404);
        $this->signIn(Role::Apprentice);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/start.plain');
        self::assertSelectorTextContains('[data-ask]', 'A technician may go on past it');
        $this->post('/jobs/'.$job->getId().'/gone-past', ['ask' => 'ask.stale_start', 'reason' => 'x', 'back' => '']);
        self::assertResponseStatusCodeSame(403);
        self::assertSame([], array_filter($this->record($this->again($job))->entries, static fn ($entry): bool => 'gone_past' === $entry->contentKind->value));
    }

    public function testACleanCarburetorOnAnUnknownTankIsAskedAndALookIntoTheTankAnswersIt(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->found($job, new Done(self::service(Vocabulary::class)->act('passages.cleared')));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/start.plain');
        self::assertSelectorExists('[data-ask="ask.dirty_feed"]');
        $this->found($this->again($job), Finding::observed('look.tank', 'clean'), Finding::observed('flow.line', 'pours'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/start.plain');
        self::assertSelectorNotExists('[data-ask]');
    }

    private function stale(): Job
    {
        $job = $this->pastGates($this->job());
        $this->found($job, Finding::observed('jar.tank', 'clear_one_layer'), Finding::observed('jar.smell', 'stale'));

        return $this->again($job);
    }
}
