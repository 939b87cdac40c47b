<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Carburetor;

use AwakeShed\Core\Carburetor\Bench;
use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\Translation\TranslatorBagInterface;

/** Whatever comes off to get at something else lies on a mat of its own, and goes back in reverse like a carburetor. */
final class TeardownTest extends ShedTestCase
{
    public function testTheWordsOfWhatComesOffAreWritten(): void
    {
        $translator = self::getContainer()->get('translator');
        self::assertInstanceOf(TranslatorBagInterface::class, $translator);
        foreach (Carburetors::teardowns()->types as $type) {
            foreach (['type.'.$type->id, 'hint.'.$type->id, ...array_map(static fn ($part): string => 'part.'.$part->id, $type->parts)] as $key) {
                self::assertTrue($translator->getCatalogue('en')->has($key, 'strip'), $key);
            }
        }
    }

    public function testCoversComeOffWithTheirScrewsAndTheEngineDoesNotRunUntilTheyAreBack(): void
    {
        $this->signIn();
        $job = $this->job();
        $address = '/jobs/'.$job->getId().'/teardown';
        $page = $this->browser->request('GET', $address);
        self::assertSelectorTextContains('h1', 'Take something apart');
        $this->press($page, 'Engine covers and shroud');
        self::assertResponseRedirects($address);
        $page = $this->browser->followRedirect();
        $this->browser->submit($page->selectButton('Off, onto place 1')->form(['screws' => '4 of 20 mm, 1 of 35 at the back']));
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-mat="1"]', 'screws: 4 of 20 mm, 1 of 35 at the back');
        $case = $this->record($this->again($job))->case();
        self::assertSame('off', $case->state->place('covers'));
        self::assertNotSame([], self::service(Gatekeeper::class)->blockers($case, 'run.steady'));
        self::assertFalse($this->record($job)->ledger()->isOpen, 'the carburetor is another bench');

        // While the ledger is open it is the ledger that says when they are on.
        $this->post('/jobs/'.$job->getId().'/deeds', ['act' => 'covers.on', 'back' => '']);
        self::assertGreaterThanOrEqual(400, $this->browser->getResponse()->getStatusCode());
        self::assertLessThan(500, $this->browser->getResponse()->getStatusCode());

        $page = $this->browser->request('GET', $address.'/refit');
        self::assertSelectorTextContains('#next-on', 'place 1, Screws of the top cover');
        $this->press($page, 'It is on');
        self::assertResponseRedirects($address.'/refit');
        self::assertSame('on', $this->record($this->again($job))->case()->state->place('covers'));
        foreach (['kill_wire', 'gaskets'] as $check) {
            $this->post($address, ['what' => 'check', 'check' => $check, 'back' => 'check']);
            self::assertResponseRedirects($address.'/check');
        }
        $this->post($address, ['what' => 'close', 'back' => 'check']);
        self::assertTrue($this->record($this->again($job))->ledger(Bench::Teardown)->wasClosed);
    }

    public function testTheWayToAHiddenThingIsKeptForTheNextOfItsModel(): void
    {
        $this->signIn();
        $job = $this->job();
        $address = '/jobs/'.$job->getId().'/teardown';
        $this->post($address, ['what' => 'begin', 'type' => 'free']);
        foreach (['Battery door' => 'hidden screw under the label', 'Starter motor' => ''] as $name => $remark) {
            $this->post($address, ['what' => 'off', 'name' => $name, 'material' => 'steel', 'remark' => $remark]);
        }
        $this->browser->request('GET', $address);
        self::assertSelectorTextContains('[data-mat="1"]', 'hidden screw under the label');
        $this->post($address.'/template', ['name' => 'Heronbill: to the starter motor']);
        self::assertResponseRedirects($address);
        $other = $this->job(label: 'Another of its kind');
        $this->browser->request('GET', '/jobs/'.$other->getId().'/teardown');
        $this->assertSays('Heronbill: to the starter motor');
    }

    public function testTheTwoBenchesDoNotDisturbEachOther(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/carburetor', ['what' => 'begin', 'type' => 'bowl_brass']);
        $this->post('/jobs/'.$job->getId().'/teardown', ['what' => 'begin', 'type' => 'recoil']);
        $this->post('/jobs/'.$job->getId().'/teardown', ['what' => 'off', 'kind' => 'recoil_screws', 'screws' => '3 of 16 mm']);
        $record = $this->record($this->again($job));
        self::assertSame([[], ['recoil_screws']], array_map(static fn (Bench $bench): array => array_values(array_map(static fn ($part): ?string => $part->kind, $record->ledger($bench)->parts)), Bench::cases()));
    }
}
