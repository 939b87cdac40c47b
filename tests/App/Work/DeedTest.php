<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Work;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Fuel\FuelSmell;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** What was done, by one tap wherever the work is: state, waste, timer and cure go together. */
final class DeedTest extends ShedTestCase
{
    public function testADrainedCrankcaseClosesTheStartOnEveryPageAndTheTapThatOpensItIsThere(): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->pastGates($this->job());
        $this->did($job, 'crankcase.drained', ['ml' => '600']);
        self::assertSame(['crankcase.filled', 'look.oil_level'], $this->until($job, 'start.plain'));
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'start.plain', 'outcome' => 'runs']);
        self::assertResponseStatusCodeSame(409);
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/start.plain');
        self::assertSelectorTextContains('.note.is-shut', 'First: Fill the crankcase.');
        $this->browser->submit($page->filter('[data-ways]')->selectButton('Crankcase filled')->form());
        self::assertResponseRedirects();
        $this->found($this->again($job), Finding::observed('look.oil_level', 'at_mark'));
        self::assertSame([], $this->until($job, 'start.plain'));
    }

    /** @return iterable<string, array{list<Finding>, string, WasteStream|null}> */
    public static function cans(): iterable
    {
        yield 'an ordinary oil change' => [[], 'crankcase.drained', WasteStream::UsedOil];
        yield 'oil with gas in it' => [[Finding::observed('look.oil_smell', 'gas')], 'crankcase.drained', WasteStream::OilGasoline];
        yield 'separated fuel' => [[Finding::observed('jar.tank', 'two_layers')], 'tank.drained', WasteStream::GasolineWater];
        yield 'stale fuel' => [[Finding::observed('jar.tank', 'clear_one_layer'), Finding::observed('jar.smell', 'stale')], 'tank.drained', WasteStream::StaleGasoline];
        yield 'fuel nobody judged' => [[], 'tank.drained', WasteStream::StaleGasoline];
        yield 'good fuel is kept' => [[Finding::observed('jar.tank', 'clear_one_layer'), Finding::observed('jar.smell', 'fresh')], 'tank.drained', null];
    }

    /** @param list<Finding> $seen */
    #[DataProvider('cans')]
    public function testWhatIsPouredOffGoesIntoTheRightCan(array $seen, string $act, ?WasteStream $stream): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, ...$seen);
        $this->did($job, $act, ['ml' => '700']);
        $portions = self::service(WasteRepository::class)->ofJob($this->again($job));
        self::assertSame(null === $stream ? [] : [$stream], array_map(static fn ($portion): WasteStream => $portion->stream, $portions));
    }

    public function testTheGatesAreShownAfterAnActHasSilencedTheirLooks(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        foreach (['crankcase.drained', 'crankcase.filled', 'air_filter.cleaned'] as $act) {
            $this->did($job, $act);
            foreach (['gates', 'line/crankcase', 'line/air', 'stages/flush', 'likely', 'history', 'hand-back'] as $page) {
                $this->browser->request('GET', '/jobs/'.$job->getId().'/'.$page);
                self::assertResponseIsSuccessful("$page after $act");
            }
        }
    }

    public function testATimerIsOverWhenTheNextThingIsDone(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->did($job, 'crankcase.drained');
        self::assertCount(1, self::service(WaitRepository::class)->ofJob($this->again($job)));
        $this->did($job, 'crankcase.filled');
        self::assertSame([], self::service(WaitRepository::class)->ofJob($this->again($job)));
    }

    public function testAnEmptyTankIsAnAnswerAndFreshFuelFollowsIt(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/fuel/tank');
        $this->browser->submit($page->selectButton('The tank is empty')->form());
        self::assertResponseRedirects('/jobs/'.$job->getId().'/fuel/tank');
        self::assertSame('tank.filled', $this->again($job)->getWaitsFor());
        $page = $this->browser->followRedirect();
        $this->browser->submit($page->filter('.deeds [data-act="tank.filled"] form')->form(['ml' => '900']));
        self::assertSame('start.plain', $this->again($job)->getWaitsFor());
    }

    public function testFuelThatWasPouredAwayIsInNoJarAnyMore(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('jar.tank', 'clear_one_layer'), Finding::observed('jar.smell', 'stale'));
        self::assertSame(FuelSmell::Stale, $this->record($job)->smellElsewhere());
        $this->did($job, 'tank.drained');
        self::assertNull($this->record($this->again($job))->smellElsewhere());
        self::assertNull($this->record($this->again($job))->jar(JarSample::Tank));
    }

    public function testAnEngineIsNotSaidToHaveRunPastItsGates(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->did($job, 'engine.ran', ['minutes' => '5']);
        self::assertResponseStatusCodeSame(409);
        self::assertSame([], $this->record($this->again($job))->entries);
    }

    public function testLookingBackSaysInOneGoWhatCuredWhatAndNothingHasToRunAgain(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->found($job, Finding::observed('bowl.inside', 'jelly'), Finding::observed('jet.pilot', 'blocked'), Finding::observed('start.plain', 'runs'));
        $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSelectorTextContains('[data-look-back]', '2 bad findings still stand');
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/look-back');
        $this->browser->submit($page->selectButton('All of that was done')->form());
        self::assertResponseRedirects('/jobs/'.$job->getId());
        $case = $this->record($this->again($job))->case();
        self::assertEqualsCanonicalizing(['carb.bowl_fouled', 'carb.pilot_blocked'], $case->cured());
        self::assertSame('run.steady', $this->again($job)->getWaitsFor(), 'it has run, with that done before');
        $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSelectorNotExists('[data-look-back]');
    }

    /** @return iterable<string, array{array<string, string>, int}> */
    public static function slips(): iterable
    {
        yield 'no such act' => [['act' => 'crankcase.polished'], 422];
        yield 'less than nothing' => [['act' => 'crankcase.drained', 'ml' => '-3'], 422];
        yield 'a lake' => [['act' => 'crankcase.drained', 'ml' => '900000'], 422];
        yield 'no number' => [['act' => 'crankcase.drained', 'ml' => 'some'], 422];
        yield 'a figure it does not have' => [['act' => 'plug.in', 'ml' => '3'], 303];
    }

    /** @param array<string, string> $sent */
    #[DataProvider('slips')]
    public function testASlipIsSaidAndNothingIsRecordedOfIt(array $sent, int $status): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/deeds', $sent + ['back' => 'room:crankcase']);
        self::assertResponseStatusCodeSame($status);
        self::assertCount(303 === $status ? 1 : 0, $this->record($this->again($job))->entries);
    }

    public function testEveryRoomOffersWhatCanBeDoneThere(): void
    {
        $this->signIn();
        $job = $this->job(MachineKind::PressureWasher);
        foreach (['crankcase' => 'crankcase.filled', 'tank' => 'tank.filled', 'bowl' => 'bowl.on', 'air' => 'air_filter.renewed', 'spark' => 'plug.renewed', 'output' => 'water.on', 'tap' => 'tap.fitted', 'pipe' => 'line.blown_back', 'screen' => 'screen.cleaned', 'filter' => 'filter.cleaned'] as $room => $act) {
            $this->browser->request('GET', '/jobs/'.$job->getId().'/line/'.$room);
            self::assertSelectorExists('[data-act="'.$act.'"] button', $room);
        }
    }

    /** @param array<string, string> $figures */
    private function did(Job $job, string $act, array $figures = []): void
    {
        $this->post('/jobs/'.$job->getId().'/deeds', ['act' => $act] + $figures);
    }

    /** @return list<string> */
    private function until(Job $job, string $test): array
    {
        $until = array_map(static fn (Blocker $blocker): string => $blocker->until, self::service(Gatekeeper::class)->blockers($this->record($this->again($job))->case(), $test));
        sort($until);

        return $until;
    }
}
