<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Evidence;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Tests\App\ShedTestCase;

final class FindingPagesTest extends ShedTestCase
{
    public function testTheOilGateByTaps(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/gates');
        $this->assertSays('Look at the oil before anything turns.');
        $this->assertSays('First: Oil level.');
        $this->browser->followRedirects();
        $page = $this->press($page, 'Far over');
        $this->assertSays('Stop: fuel in the oil. Go and drain it before anything turns.');
        self::assertSelectorExists('#gate-pull .note.is-shut');
        $page = $this->press($page, 'Drained, refilled, and what let the gas in is dealt with');
        $this->assertSays('Put right since. Look at the oil once more before anything turns.');
        foreach (['At the mark', 'Of oil only', 'Like oil', 'Dark'] as $chip) {
            $page = $this->press($page, $chip);
        }
        $this->assertSays('The oil is right. Go on.');
        $this->press($page, 'Undo');
        $this->assertSays('The level is read; the rest of the stick has not been looked at.');
    }

    public function testEveryRefusalIsAPageThatSaysWhy(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'feel.pull', 'outcome' => 'normal']);
        self::assertResponseStatusCodeSame(409);
        $this->assertSays('Feel of the pull is closed for now. First: Oil level.');
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'look.oil_level', 'outcome' => 'plaid']);
        self::assertResponseStatusCodeSame(422);
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'claim.idle_months', 'outcome' => '-4']);
        self::assertResponseStatusCodeSame(422);
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => ['a', 'list'], 'outcome' => 'x']);
        self::assertResponseStatusCodeSame(400);
        $this->post('/jobs/'.$job->getId().'/findings', []);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/findings');
        self::assertResponseStatusCodeSame(405);
        self::assertSame([], $this->record($job)->entries);
    }

    public function testAnApprenticeDeclaresNoCureAndCorrectsOnlyTheirOwn(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_smell', 'gas'), new PutRight('oil.gas_in_oil'));
        [$finding, $cure] = $this->record($job)->entries;
        $this->signIn(Role::Apprentice);
        $this->post('/jobs/'.$job->getId().'/put-right', ['fault' => 'oil.gas_in_oil']);
        self::assertResponseStatusCodeSame(403);
        $this->assertSays('Not for your role');
        foreach ([$finding, $cure] as $entry) {
            $this->post('/entries/'.$entry->id.'/undo', []);
            self::assertResponseStatusCodeSame(403);
        }
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'look.oil_body', 'outcome' => 'thin']);
        $own = $this->record($job)->entries[2];
        $this->post('/entries/'.$own->id.'/correct', ['test' => 'look.oil_body', 'outcome' => 'normal']);
        self::assertResponseRedirects();
        self::assertSame(['normal'], $this->record($job)->case()->standing('look.oil_body')?->outcomes);
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Corrected to: Body of the oil: Like oil before: Body of the oil: Thin');
        self::assertCount(1, $page->filter('.entry.is-struck'));
    }

    public function testACorrectedClaimKeepsTheOthersOfItsEntry(): void
    {
        $this->signIn();
        $job = $this->job();
        $key = RequestKey::fresh();
        self::service(Recorder::class)->observe($job, $this->member(Role::Technician), $key, [Finding::observed('claim.tipped', 'no'), Finding::number('claim.idle_months', 24)]);
        $entry = $this->record($job)->entries[0];
        $this->post('/entries/'.$entry->id.'/correct', ['test' => 'claim.idle_months', 'outcome' => '72']);
        $case = $this->record($job)->case();
        self::assertSame(72.0, $case->standing('claim.idle_months')?->number);
        self::assertSame(['no'], $case->standing('claim.tipped')?->outcomes);
    }

    public function testAFormOfAnEarlierSessionIsNotObeyedAndNotLost(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->browser->request('POST', '/jobs/'.$job->getId().'/findings', ['test' => 'look.oil_colour', 'outcome' => 'dark', '_token' => 'stale', 'request_key' => '019ab4c2-7a11-7c11-8000-0123456789ab']);
        self::assertResponseStatusCodeSame(403);
        $this->assertSays('This page stood open too long');
        self::assertSame([], $this->record($job)->entries);
        $this->browser->submitForm('Send it again');
        self::assertResponseRedirects();
        self::assertSame(['dark'], $this->record($job)->case()->standing('look.oil_colour')?->outcomes);
    }
}
