<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Carburetor;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Carburetor\ToolSizes;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedPartRepository;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Translation\TranslatorBagInterface;

final class CarburetorPagesTest extends ShedTestCase
{
    public function testEveryWordOfTheBenchIsWritten(): void
    {
        $translator = self::getContainer()->get('translator');
        self::assertInstanceOf(TranslatorBagInterface::class, $translator);
        $has = static fn (string $key): bool => $translator->getCatalogue('en')->has($key, 'strip');
        $keys = array_map(static fn (MoveKind $kind): string => 'move.'.$kind->value, MoveKind::cases());
        foreach (Carburetors::shipped()->types as $type) {
            array_push($keys, 'type.'.$type->id, 'hint.'.$type->id, ...array_map(static fn ($part): string => 'part.'.$part->id, $type->parts), ...array_map(static fn (string $port): string => 'port.'.$port, $type->ports()));
            foreach ($type->passages as $passage) {
                array_push($keys, 'passage.'.$passage->id, 'symptom.'.$passage->circuit);
            }
        }
        array_push($keys, ...array_map(static fn ($check): string => 'check.'.$check->id, Carburetors::shipped()->checks));
        self::assertSame([], array_values(array_filter($keys, static fn (string $key): bool => !$has($key))));
    }

    public function testACarburetorComesOffAndGoesBackByTheForms(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $base = '/jobs/'.$job->getId().'/carburetor';
        $page = $this->browser->request('GET', $base);
        self::assertSelectorTextContains('.caution', 'no flame');
        $this->browser->submit($page->selectButton('Float bowl, the bowl nut is the jet')->form());
        $this->browser->followRedirect();
        self::assertSelectorTextContains('#next-off', 'Next off: Air-filter base');
        $this->browser->submit($this->browser->getCrawler()->selectButton('Off, onto place 1')->form());
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.saved', 'Off: Air-filter base');
        self::assertSelectorExists('[data-apart]');

        // A link without its hole is refused; nothing is recorded.
        $this->move($job, ['what' => 'off', 'kind' => 'governor_link']);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('Write down which hole first');
        $this->move($job, ['what' => 'off', 'kind' => 'governor_link', 'hole' => 'upper, long arm']);
        $this->browser->request('GET', $base.'?place=2');
        self::assertSelectorTextContains('[data-place="2"]', 'hole: upper, long arm');

        $this->assertStartIsClosed($job);
        $this->browser->request('GET', $base.'/check');
        self::assertSelectorTextContains('[data-left]', 'place 2, Governor link');
        $page = $this->browser->request('GET', $base.'/refit');
        self::assertSelectorTextContains('#next-on', 'Next: place 2, Governor link');
        $this->browser->submit($page->selectButton('It is on')->form());
        $this->browser->submit($this->browser->followRedirect()->selectButton('It is on')->form());
        $this->browser->followRedirect();
        $this->assertSays('Nothing lies on the mat any more.');
        $this->assertStartIsClosed($job);

        // A drip keeps the point open and is a finding.
        $this->move($job, ['what' => 'check', 'check' => 'drip_watch', 'outcome' => 'bowl', 'back' => 'check']);
        self::assertSame(['bowl'], $this->record($job)->case()->standing('leak.static')?->outcomes);
        self::assertCount(8, $this->record($job)->ledger()->checksLeft());
        $this->move($job, ['what' => 'close']);
        self::assertResponseStatusCodeSame(422);
        foreach (['drip_watch' => 'none', 'linkage' => 'right', 'choke' => 'closes_and_opens', 'breather_hose' => '', 'primer_hose' => '', 'filter_base' => '', 'kill_wire' => '', 'gaskets' => ''] as $check => $outcome) {
            $this->move($job, ['what' => 'check', 'check' => $check, 'outcome' => $outcome, 'back' => 'check']);
            self::assertResponseRedirects($base.'/check', null, $check);
        }
        $this->browser->submit($this->browser->followRedirect()->selectButton('Close the ledger: nothing lost, nothing left over')->form());
        $this->browser->followRedirect();
        $this->assertSays('The ledger is closed: 2 parts came off and went back');
        self::assertSame([], self::service(Gatekeeper::class)->blockers($this->record($job)->case(), 'start.plain'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Off: Governor link, hole upper, long arm (place 2)');
    }

    public function testADoubleTapTakesOnePartOffAndAnUndoPutsItBack(): void
    {
        $this->signIn();
        $job = $this->begun('bowl_brass');
        $key = RequestKey::fresh()->value;
        foreach ([1, 2] as $tap) {
            $this->post('/jobs/'.$job->getId().'/carburetor', ['what' => 'off', 'kind' => 'filter_base'], $key);
            self::assertResponseRedirects(null, null, "tap $tap");
        }
        self::assertCount(1, $this->record($job)->ledger()->parts);
        $entries = $this->record($this->again($job))->entries;
        self::service(Recorder::class)->withdraw($entries[\count($entries) - 1], $this->member(Role::Technician), RequestKey::fresh());
        self::assertSame([], $this->record($this->again($job))->ledger()->parts);
        self::assertNull($this->record($this->again($job))->case()->state->place('carburetor'));
    }

    public function testThePassageMapRecordsFindingsAndSaysWhatTheSymptomWillBe(): void
    {
        $this->signIn();
        $job = $this->begun('bowl_brass');
        $this->move($job, ['what' => 'blocked', 'passage' => 'main', 'back' => 'map']);
        self::assertResponseStatusCodeSame(409, 'the bowl is looked into first');
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/carburetor/map');
        self::assertSelectorTextContains('[data-passage-card="main"] .is-shut', 'First: Bowl, inside.');
        self::assertCount(0, $page->filter('[data-passage-card="main"] form'), 'what is closed is not offered');
        self::assertCount(0, $page->filter('[data-passage-card="inlet"] .is-shut'), 'and what is open is');
        $this->found($this->again($job), Finding::observed('bowl.inside', 'film'));
        $map = '/jobs/'.$job->getId().'/carburetor/map';
        $page = $this->browser->request('GET', $map.'?port=main_jet');
        $this->browser->submit($page->filter('[data-passage-card="main"]')->selectButton('Nothing comes')->form());
        self::assertResponseRedirects($map.'?port=main_jet');
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-passage-card="main"]', 'it will not run, or dies under load');
        self::assertSelectorExists('[data-passage="main"].is-blocked');
        self::assertSelectorExists('.section-drawing .blocked-mark');
        self::assertSame(['blocked'], $this->record($job)->case()->standing('jet.main')?->outcomes);
        $this->move($job, ['what' => 'through', 'passage' => 'main', 'exit' => 'nozzle', 'back' => 'map']);
        self::assertSame(['clear'], $this->record($this->again($job))->case()->standing('jet.main')?->outcomes);
        $this->move($job, ['what' => 'holes', 'passage' => 'emulsion', 'holes' => '12', 'back' => 'map']);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('A whole number, 0 to 8.');
    }

    public function testABoreThatWasReadComesBeforeTheUsualOne(): void
    {
        $this->signIn();
        $job = $this->begun('bowl_brass');
        $map = '/jobs/'.$job->getId().'/carburetor/map';
        $text = fn (string $passage): string => self::text($this->browser->request('GET', $map)->filter("[data-passage-card=\"$passage\"]"));
        self::assertStringContainsString('bore usually about', $text('main'));
        $this->move($job, ['what' => 'off', 'kind' => 'main_jet', 'bore' => '0.68']);
        self::assertStringContainsString('bore 0.68 mm.', $text('main'));
        self::assertStringContainsString('bore usually about', $text('pilot'));
    }

    public function testEveryTypeIsDrawnWithEveryHoleAndAPathForEveryPassage(): void
    {
        $this->signIn();
        foreach (Carburetors::shipped()->types as $type) {
            $job = $this->begun($type->id);
            $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/carburetor/map');
            self::assertResponseIsSuccessful($type->id);
            self::assertCount(\count($type->ports()), $page->filter('.section-drawing a'));
            self::assertCount(\count($type->passages), $page->filter('.section-drawing g.passage'));
            foreach (['', '/refit', '/cleaning', '/check', '/labels'] as $view) {
                $this->browser->request('GET', '/jobs/'.$job->getId().'/carburetor'.$view);
                self::assertResponseIsSuccessful($type->id.$view);
            }
        }
    }

    public function testWhatMustStayOutOfABathIsRefusedAndABathHasItsTimer(): void
    {
        $this->signIn();
        $job = $this->begun('plastic_pilot');
        $this->move($job, ['what' => 'off', 'kind' => 'pilot_jet', 'size' => 'thin pick']);
        $this->move($job, ['what' => 'condition', 'place' => '1', 'condition' => 'film']);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/carburetor/cleaning');
        self::assertSelectorTextContains('[data-clean="1"]', 'Not into: ultrasonic bath, it swells or cracks.');
        $this->move($job, ['what' => 'clean', 'place' => '1', 'method' => 'ultrasonic']);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('Plastic stays out of it: it swells or cracks.');
        $this->move($job, ['what' => 'off', 'kind' => 'main_jet']);
        $this->move($job, ['what' => 'keep', 'place' => '2', 'keep' => 'clean']);
        $this->move($job, ['what' => 'clean', 'place' => '2', 'method' => 'ultrasonic', 'back' => 'cleaning']);
        self::assertResponseRedirects('/jobs/'.$job->getId().'/carburetor/cleaning');
        self::assertSame([8], array_map(static fn ($wait): int => $wait->minutes(), self::service(WaitRepository::class)->ofJob($this->again($job))));
        self::assertSame(['pilot_jet' => 'thin pick'], self::service(ToolSizes::class)->forType('plastic_pilot'), 'and the tool is remembered for the next of its type');
    }

    public function testTheOrderOfOneIsKeptAndTheNextBeginsWithIt(): void
    {
        $this->signIn();
        $first = $this->begun('free');
        $this->move($first, ['what' => 'off', 'name' => 'Chrome spacer', 'material' => 'steel', 'orientation' => 'lip out', 'size' => '8 mm']);
        $this->move($first, ['what' => 'off', 'name' => 'Jet holder', 'material' => 'plastic']);
        $page = $this->browser->request('GET', '/jobs/'.$first->getId().'/carburetor');
        $this->browser->submit($page->selectButton('Keep it')->form(['name' => 'Odd import']));
        self::assertResponseRedirects();
        $second = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$second->getId().'/carburetor');
        $this->assertSays('of your own: 2 parts in your order');
        $this->browser->submit($page->selectButton('Odd import')->form());
        $page = $this->browser->followRedirect();
        self::assertSelectorTextContains('#next-off', 'Next off: Chrome spacer');
        self::assertSelectorExists('#off-orientation', 'what was written down then is asked now');
        self::assertSelectorExists('#off-size[value="8 mm"]');
        $this->browser->submit($page->selectButton('Off, onto place 1')->form());
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-mat="1"]', 'Chrome spacer');
        self::assertSelectorTextContains('#next-off', 'Next off: Jet holder');
        self::assertSame(['Jet holder'], array_map(static fn ($kind): string => $kind->name, $this->record($this->again($second))->ledger()->stillOn()));
    }

    public function testTheSchoolOfTheNeedleIsSaidAtTheNeedleAndOnlyThere(): void
    {
        $this->signIn();
        $job = $this->begun('bowl_brass');
        $this->move($job, ['what' => 'off', 'kind' => 'needle']);
        $this->move($job, ['what' => 'off', 'kind' => 'float']);
        $says = function (int $place) use ($job): bool {
            $this->browser->request('GET', '/jobs/'.$job->getId().'/carburetor?place='.$place);

            return str_contains((string) $this->browser->getResponse()->getContent(), 'needle and seat are both renewed');
        };
        self::assertSame([true, false], [$says(1), $says(2)]);
        $this->again($job)->follow('needle_seat', 'reuse_if_holds');
        self::entities()->flush();
        self::assertFalse($says(1));
    }

    public function testPartsOfSeveralBenchesGoIntoOneBath(): void
    {
        $this->signIn();
        $jobs = [];
        foreach (['bowl_brass' => ['main_jet', 'bowl_gasket', 'pilot_jet'], 'bowl_nut' => ['bowl_nut']] as $type => $kinds) {
            $jobs[] = $job = $this->begun($type);
            foreach ($kinds as $place => $kind) {
                $this->move($job, ['what' => 'off', 'kind' => $kind]);
                $this->move($job, ['what' => 'keep', 'place' => (string) ($place + 1), 'keep' => 'clean']);
            }
        }
        [$other, $mine] = $jobs;
        $address = '/jobs/'.$mine->getId().'/carburetor';
        $page = $this->browser->request('GET', $address.'/cleaning');
        $codes = $page->filter('#batch ~ form input[type="checkbox"]')->each(static fn (Crawler $box): string => (string) $box->attr('value'));
        self::assertEqualsCanonicalizing([$other->getId().'-1', $other->getId().'-3', $mine->getId().'-1'], $codes, 'rubber is not bathed');
        $key = RequestKey::fresh()->value;
        foreach ([1, 2] as $tap) {
            $this->post($address.'/bath', ['parts' => [...$codes, $other->getId().'-2', '999-1', 'no-code']], $key);
            self::assertResponseRedirects($address.'/cleaning', null, "tap $tap");
        }
        foreach ([[$other, [1 => ['ultrasonic'], 2 => [], 3 => ['ultrasonic']]], [$mine, [1 => ['ultrasonic']]]] as [$job, $cleaned]) {
            self::assertSame($cleaned, array_map(static fn (Part $part): array => $part->cleaned, $this->record($this->again($job))->ledger()->parts));
            self::assertCount(1, self::service(WaitRepository::class)->ofJob($this->again($job)), 'one timer for the parts of one job');
        }
        $this->browser->request('GET', $address.'/cleaning');
        self::assertSelectorNotExists('#batch');
    }

    public function testALedgerOfSixtyPartsIsShownAndGoesOn(): void
    {
        $this->signIn();
        $job = $this->begun('free');
        foreach ([2, 58] as $more) {
            $job = $this->again($job);
            for ($part = 0; $part < $more; ++$part) {
                self::service(Recorder::class)->moved($job, $this->member(Role::Technician), RequestKey::fresh(), static fn (PartsLedger $ledger): Move => MoveKind::Off->move($ledger->nextPlace(), ['name' => 'Screw', 'material' => 'steel']));
            }
            $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/carburetor');
            self::assertCount($more < 3 ? 2 : 60, $page->filter('[data-mat]'));
        }
        $this->move($job, ['what' => 'on', 'place' => '60', 'back' => 'refit']);
        self::assertResponseRedirects();
        self::assertCount(59, $this->record($this->again($job))->ledger()->onMat());
    }

    public function testALabelTypedIntoTheSearchOpensItsPart(): void
    {
        $this->signIn();
        $job = $this->begun('free');
        $this->move($job, ['what' => 'off', 'name' => 'Odd <spacer>', 'material' => 'brass']);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/carburetor/labels');
        $this->assertSays($job->getId().'-1 Odd &lt;spacer&gt;');
        $this->browser->request('GET', '/?find='.$job->getId().'-1');
        self::assertResponseRedirects('/jobs/'.$job->getId().'/carburetor?place=1');
    }

    public function testNobodyWithoutARoleForItMovesAPartOfAMachineThatWentHome(): void
    {
        $job = $this->begun('free');
        $job->handBack(new \DateTimeImmutable());
        self::entities()->flush();
        $this->signIn();
        $this->move($job, ['what' => 'off', 'name' => 'Clip', 'material' => 'steel']);
        self::assertResponseStatusCodeSame(409);
        $this->browser->request('POST', '/jobs/'.$job->getId().'/carburetor', ['what' => 'off', 'name' => 'Clip', 'material' => 'steel']);
        self::assertResponseStatusCodeSame(403, 'without its token');
        $this->move($job, ['what' => 'explode']);
        self::assertResponseStatusCodeSame(404);
    }

    public function testANeedleOnTheMatIsNotTestedAndOneToBeRenewedIsWanted(): void
    {
        $job = $this->begun('bowl_brass');
        foreach (['bowl_bolt', 'bowl', 'float_pin', 'float', 'needle'] as $kind) {
            $this->move($job, ['what' => 'off', 'kind' => $kind]);
        }
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'needle.pressure', 'outcome' => 'holds']);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('It lies on the mat');
        $this->move($job, ['what' => 'keep', 'place' => '5', 'keep' => 'renew']);
        $this->move($job, ['what' => 'keep', 'place' => '5', 'keep' => 'renew']);
        $parts = self::service(WantedPartRepository::class)->ofJob($this->again($job));
        self::assertSame(['Inlet needle'], array_map(static fn (WantedPart $part): string => $part->getName(), $parts));
        self::assertEquals(1, self::entities()->getConnection()->fetchOne('SELECT waits_for_parts FROM job WHERE id = ?', [$job->getId()]), 'until it is there the job waits for it');
    }

    public function testWhatIsPartOfTheBodyIsNotBothNew(): void
    {
        $job = $this->job();
        $this->signIn();
        $this->found($job, Finding::observed('needle.pressure', 'leaks'));
        foreach (['needle.way_round' => 'not_replaceable', 'needle.bore' => 'not_replaceable'] as $step => $choice) {
            $this->post('/jobs/'.$job->getId().'/acts', ['step' => $step, 'choice' => $choice]);
            self::assertResponseRedirects();
        }
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'needle.fitted', 'choice' => 'both_new']);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('what is part of the body is not renewed');
    }

    private function begun(string $type): Job
    {
        $job = $this->job();
        $this->signIn();
        $this->move($job, ['what' => 'begin', 'type' => $type]);
        self::assertResponseRedirects();

        return $this->again($job);
    }

    /** @param array<string, string> $fields */
    private function move(Job $job, array $fields): void
    {
        $this->post('/jobs/'.$job->getId().'/carburetor', $fields);
    }

    private function assertStartIsClosed(Job $job): void
    {
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'start.plain', 'outcome' => 'runs']);
        self::assertResponseStatusCodeSame(409);
        $this->assertSays('Start is closed for now.');
    }
}
