<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Form;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\DomCrawler\Form;

/** Two people with one form open: the second to save is shown both, and overwrites only knowingly. */
final class SideBySideTest extends ShedTestCase
{
    public function testTheMachineForm(): void
    {
        $this->signIn();
        $job = $this->job();
        $open = fn (): Form => $this->browser->request('GET', "/jobs/{$job->getId()}/machine")->selectButton('Save')->form();
        [$first, $second] = [$open(), $open()];
        $this->browser->submit($first, ['intake[ownerContact]' => 'ring the bell', 'intake[oil]' => '600']);
        self::assertResponseRedirects();
        $page = $this->browser->submit($second, ['intake[label]' => 'Heronbill, green', 'intake[oil]' => '650', 'intake[choke]' => 'auto']);
        self::assertResponseStatusCodeSame(422);
        $both = $page->filter('[data-both]')->text();
        self::assertStringContainsString('ring the bell', $both);
        self::assertStringContainsString('600 mL', $both);
        self::assertStringContainsString('650 mL', $both);
        self::assertSame(600.0, $this->again($job)->getMachine()->facts()->oilMl);
        // What was typed is still in the form, which now knows what it replaces.
        $this->browser->submit($page->selectButton('Save')->form(['intake[ownerContact]' => 'ring the bell']));
        self::assertResponseRedirects();
        $machine = $this->again($job)->getMachine();
        self::assertSame(['Heronbill, green', 'ring the bell', 650.0], [$machine->getLabel(), $machine->getOwnerContact(), $machine->facts()->oilMl]);
    }

    public function testWhoChangesTheSameThingToTheSameIsNotAsked(): void
    {
        $this->signIn();
        $job = $this->job();
        $open = fn (): Form => $this->browser->request('GET', "/jobs/{$job->getId()}/machine")->selectButton('Save')->form(['intake[oil]' => '600']);
        [$first, $second] = [$open(), $open()];
        foreach ([$first, $second] as $form) {
            $this->browser->submit($form);
            self::assertResponseRedirects();
        }
    }

    public function testTheShedsOwnName(): void
    {
        $this->signIn(Role::Owner);
        $open = fn (): Form => $this->browser->request('GET', '/shop')->selectButton('Save')->form();
        [$first, $second] = [$open(), $open()];
        $this->browser->submit($first, ['shop[place]' => 'At the boat ramp']);
        self::assertResponseRedirects();
        $page = $this->browser->submit($second, ['shop[place]' => 'Behind the barn']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('At the boat ramp', $page->filter('[data-both]')->text());
    }

    public function testAPageOfTheSpecBook(): void
    {
        $page = new SpecPage('Alderholm 160', null);
        self::entities()->persist($page);
        self::entities()->flush();
        $this->signIn();
        $address = '/spec/'.$page->getId();
        $open = fn (): Form => $this->browser->request('GET', $address)->selectButton('Save')->form();
        [$first, $second] = [$open(), $open()];
        $this->browser->submit($first, ['spec_page[rows][plug_gap_least_mm][amount]' => '0.7', 'spec_page[rows][plug_gap_least_mm][source]' => 'published']);
        self::assertResponseRedirects();
        $shown = $this->browser->submit($second, ['spec_page[rows][plug_gap_least_mm][amount]' => '0.9', 'spec_page[rows][plug_gap_least_mm][source]' => 'published']);
        self::assertResponseStatusCodeSame(422);
        self::assertMatchesRegularExpression('/0\.7.*0\.9/s', $shown->filter('[data-both]')->text());
        $this->browser->submit($shown->selectButton('Save')->form());
        self::assertResponseRedirects();
        self::entities()->clear();
        self::assertEqualsWithDelta(0.9, self::entities()->find(SpecPage::class, $page->getId())?->values()['plug_gap_least_mm']->amount, 1e-9);
    }

    public function testOnesOwnSettingsOnTwoDevices(): void
    {
        $this->signIn();
        $open = fn (): Form => $this->browser->request('GET', '/me')->selectButton('Save')->form();
        [$first, $second] = [$open(), $open()];
        $this->browser->submit($first, ['preferences[units]' => 'metric', 'preferences[wires]' => '0.3; 0.45']);
        $shown = $this->browser->submit($second, ['preferences[look]' => 'sunlight']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('0.3; 0.45', $shown->filter('[data-both]')->text());
        self::entities()->clear();
        self::assertCount(2, $this->member(Role::Technician)->getWires());
    }

    public function testAPersonsRole(): void
    {
        $this->signIn(Role::Owner);
        $apprentice = $this->member(Role::Apprentice);
        $page = $this->browser->request('GET', '/people');
        $stale = $page->filter(\sprintf('form[action="/people/%d/role"] button', $apprentice->getId()))->reduce(static fn ($button): bool => 'Owner' === trim($button->text()))->form();
        $apprentice = $this->member(Role::Apprentice);
        $apprentice->appoint(Role::Technician);
        self::entities()->flush();
        $this->browser->followRedirects();
        $this->browser->submit($stale);
        $this->assertSays('Somebody changed that meanwhile');
        $this->assertSays('is Technician now; you wanted Owner');
        self::entities()->clear();
        self::assertSame(Role::Technician, $this->member(Role::Apprentice)->getRole());
    }
}
