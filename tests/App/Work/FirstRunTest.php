<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Work;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Trace\Trace;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Tests\App\ShedTestCase;

/** The first run and the proof as they are worked: what is in it, every start kept, a surge watched, a cold start owed. */
final class FirstRunTest extends ShedTestCase
{
    public function testTheStartIsClosedUntilTheMachineIsReadyForItAndEveryTryIsKept(): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->pastGates($this->job());
        $at = '/jobs/'.$job->getId();
        $this->browser->request('GET', $at.'/stages/first_run');
        self::assertSelectorTextContains('[data-within]', 'Oil');
        self::assertSelectorNotExists('form[action$="/attempts"]', 'outdoors and clear come first');
        foreach (['first_run.outdoors', 'first_run.area'] as $step) {
            $this->post($at.'/acts', ['step' => $step]);
            self::assertResponseRedirects($at.'/stages/first_run');
        }
        $page = $this->browser->request('GET', $at.'/stages/first_run');
        $form = $page->filter('form[action$="/attempts"]')->selectButton('outcome')->form(['primes' => '3', 'pulls' => '4', 'air_c' => '41 °F']);
        $this->browser->submit($form, ['outcome' => 'fires_dies']);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-attempt]', 'pulls');
        self::assertSelectorExists('#step-first_run-start a[href$="/likely"]', 'it leads into the diagnosis');
        $this->post($at.'/attempts', ['outcome' => 'runs', 'pulls' => '2', 'choke' => 'half']);
        self::assertEquals(2, $this->record($this->again($job))->case()->standing('start.plain')->measured['pulls'] ?? 0);
        $this->browser->request('GET', $at.'/stages/first_run');
        self::assertSelectorCount(2, '[data-attempt]');
        $this->browser->request('GET', $at.'/history');
        $this->assertSays('4 pulls');
        $this->assertSays('choke half');
    }

    public function testANumberThatCannotBeIsSaidAndNothingIsRecorded(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->post('/jobs/'.$job->getId().'/attempts', ['outcome' => 'runs', 'pulls' => '900']);
        self::assertResponseStatusCodeSame(422);
        self::assertNull($this->record($this->again($job))->case()->standing('start.plain'));
        $this->post('/jobs/'.$job->getId().'/attempts', ['outcome' => 'flies']);
        self::assertGreaterThanOrEqual(400, $this->browser->getResponse()->getStatusCode());
        self::assertLessThan(500, $this->browser->getResponse()->getStatusCode());
    }

    public function testWhereverAStartIsATapAwayItsKindIsAskedToBeReady(): void
    {
        $this->signIn();
        $job = $this->job(MachineKind::Generator);
        foreach (['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.oil_colour' => 'clean', 'look.air_filter' => 'clean', 'look.controls' => 'free', 'feel.pull' => 'normal', 'jar.tank' => 'clear_one_layer', 'jar.smell' => 'fresh'] as $test => $outcome) {
            $this->found($job, Finding::observed($test, $outcome));
        }
        foreach (['', '/tests/start.plain'] as $page) {
            $this->browser->request('GET', '/jobs/'.$job->getId().$page);
            self::assertSelectorTextContains('[data-before-a-start]', 'breaker off, nothing plugged in');
        }
        foreach (['first_run.outdoors', 'first_run.breaker'] as $step) {
            $this->post('/jobs/'.$job->getId().'/acts', ['step' => $step]);
        }
        $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSelectorNotExists('[data-before-a-start]');
    }

    public function testNoStartIsRecordedPastAGate(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/attempts', ['outcome' => 'runs', 'pulls' => '1']);
        self::assertResponseStatusCodeSame(409);
    }

    public function testAColdSurgeThatSettledIsOneTapAndProvesIt(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->found($job, Finding::observed('start.plain', 'runs'));
        $at = '/jobs/'.$job->getId();
        foreach ([['prove.warm_up', ''], ['prove.after_1', 'surges'], ['prove.after_3', 'surges'], ['prove.after_5', 'steady']] as [$step, $choice]) {
            $this->post($at.'/acts', ['step' => $step, 'choice' => $choice]);
            self::assertResponseRedirects();
        }
        $page = $this->browser->request('GET', $at.'/stages/prove');
        self::assertSelectorExists('[data-surge="settles"]');
        self::assertNotNull(self::service(WaitRepository::class)->runningFor($this->again($job), WaitKind::WarmUp));
        $this->browser->submit($page->selectButton('Record it: surges cold, then settles')->form());
        self::assertSame(['surges_cold_then_settles'], $this->record($this->again($job))->case()->standing('run.steady')?->outcomes);
        self::assertNotSame(Progress::FindingTheCause, $this->again($job)->getStand(), 'nothing is looked for');
    }

    public function testWhatARecordingOfTheseMinutesSaysStandsBesideTheReading(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->found($job, Finding::observed('start.plain', 'runs'));
        $swinging = Series::fromSamples($times = array_map(static fn (int $sample): float => $sample / 20, range(0, 400)), array_map(static fn (float $time): float => 314.0 + 25.0 * sin(2 * \M_PI * $time / 2.0), $times));
        self::entities()->persist(Trace::imported(TraceKind::Speed, $this->again($job), 'by ear', $this->member(Role::Technician), new \DateTimeImmutable(), $swinging));
        self::entities()->flush();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/prove');
        self::assertSelectorTextContains('#step-prove-after_1 [data-heard="surges"]', 'a swing of');
    }

    public function testAShopThatWantsAColdStartWaitsForIt(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->post('/jobs/'.$job->getId().'/schools', ['question' => 'cold_start', 'school' => 'pulls_2_hours_8']);
        $this->found($this->again($job), Finding::observed('start.plain', 'runs'), Finding::observed('run.steady', 'steady'), Finding::observed('run.choke_off', 'steady'), Finding::observed('run.load', 'holds'), Finding::observed('run.minutes_later', 'keeps_running'));
        $job = $this->again($job);
        self::assertSame(['proving', 'start.plain'], [$job->getStand()->value, $job->getWaitsFor()]);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/prove');
        $this->assertSays('Stands cold overnight');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/first_run');
        self::assertSelectorExists('[data-cold="owed"]');
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'prove.overnight']);
        $job = $this->again($job);
        self::assertSame([Progress::Waits, 'cold'], [$job->getStand(), $job->getWaitsFor()]);
        self::assertSame(480, self::service(WaitRepository::class)->runningFor($job, WaitKind::StandsCold)?->minutes());
        $this->post('/jobs/'.$job->getId().'/attempts', ['outcome' => 'runs', 'pulls' => '1']);
        self::assertSame(Progress::Proving, $this->again($job)->getStand(), 'started too early it is not cold, and not waited for');
    }
}
