<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Carburetor;

use AwakeShed\Tests\App\ShedTestCase;

final class WantedPartsTest extends ShedTestCase
{
    public function testAPartIsWantedOrderedAndHereAndTheJobSaysThatItWaits(): void
    {
        $this->signIn();
        $job = $this->job(label: 'Heronbill, small');
        $address = '/jobs/'.$job->getId();
        $page = $this->browser->request('GET', $address.'/parts');
        $this->assertSays('Nothing is waited for.');
        $this->browser->submit($page->selectButton('Write it down')->form(['name' => '=Needle and seat', 'quantity' => '2']));
        self::assertResponseRedirects($address.'/parts');
        $this->browser->request('GET', $address);
        self::assertSelectorTextContains('[data-waits-for-parts]', 'Waits for a part.');
        $this->browser->request('GET', '/');
        self::assertSelectorTextContains('.waits', 'a part');
        $page = $this->browser->request('GET', '/parts');
        $this->browser->submit($page->selectButton('Ordered')->form());
        self::assertResponseRedirects('/parts');
        $this->browser->request('GET', '/parts.csv');
        self::assertStringContainsString('ordered,2,"\'=Needle and seat",'.$job->getId().',"Heronbill, small"', (string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', $address);
        self::assertSelectorExists('[data-waits-for-parts]');
        $page = $this->browser->request('GET', $address.'/parts');
        $this->browser->submit($page->selectButton('Here')->form());
        $this->browser->request('GET', $address);
        self::assertSelectorNotExists('[data-waits-for-parts]');
    }

    public function testWhatCannotBeIsRefusedAndKeptAsTyped(): void
    {
        $this->signIn();
        $job = $this->job();
        foreach ([['', '1'], ['Needle', '0'], ['Needle', '1.5'], ['Needle', '100'], ['Needle', 'two']] as [$name, $quantity]) {
            $this->post('/jobs/'.$job->getId().'/parts', ['name' => $name, 'quantity' => $quantity]);
            self::assertResponseStatusCodeSame(422, "$name $quantity");
            self::assertSelectorExists(\sprintf('#want-quantity[value="%s"]', $quantity));
        }
        $this->post('/parts/999/here', []);
        self::assertResponseStatusCodeSame(404);
    }

    public function testTheDayItIsExpectedOnIsSetChangedAndTakenBack(): void
    {
        $this->signIn();
        $address = '/jobs/'.$this->job()->getId().'/parts';
        $this->post($address, ['name' => 'Needle and seat', 'quantity' => '1']);
        foreach (['2026-12-04', '2027-02-28', '', '2028-02-29'] as $day) {
            $this->browser->submit($this->browser->request('GET', $address)->selectButton('Set it')->form(['on' => $day]));
            self::assertResponseRedirects($address);
            self::assertSame($day, $this->browser->request('GET', $address)->filter('input[name="on"]')->attr('value'));
        }
        foreach (['2026-02-29', 'Friday', '2026-12-4', '04.12.2026'] as $typed) {
            $page = $this->browser->submit($this->browser->request('GET', $address)->selectButton('Set it')->form(['on' => $typed]));
            self::assertResponseStatusCodeSame(422);
            self::assertSame([$typed, 'The day it is expected on is no day.'], [$page->filter('input[name="on"][aria-invalid]')->attr('value'), $page->filter('.wanted .error')->text()]);
            self::assertSelectorCount(1, '.error');
        }
        self::assertSame('2028-02-29', $this->browser->request('GET', $address)->filter('input[name="on"]')->attr('value'), 'what is no day changes nothing');
    }
}
