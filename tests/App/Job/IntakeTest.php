<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Job;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class IntakeTest extends ShedTestCase
{
    private const FIELDS = [
        'kind' => 'snowblower', 'label' => 'Tarnsmith two-stage', 'ownerName' => 'The association', 'ownerContact' => '',
        'wantedBy' => '2026-12-01', 'remarks' => 'Before the <b>snow</b>.', 'displacement' => '208', 'oil' => '0,6 L', 'tank' => '', 'idle' => '3 years',
        'claims' => ['claim_fuel_kind' => 'e10', 'claim_tipped' => 'no'],
    ];

    public function testTakesInAMachineWithItsClaims(): void
    {
        $this->signIn(Role::Apprentice);
        $this->browser->request('POST', '/take-in', ['intake' => self::FIELDS + ['_token' => $this->token()]]);
        self::assertResponseRedirects();
        $job = $this->only();
        self::assertSame(MachineKind::Snowblower, $job->getMachine()->getKind());
        self::assertSame(600.0, $job->getMachine()->facts()->oilMl);
        self::assertSame('2026-12-01', $job->getWantedBy()?->format('Y-m-d'));
        $case = $this->record($job)->case();
        self::assertSame(36.0, $case->standing('claim.idle_months')?->number);
        self::assertSame(['no'], $case->standing('claim.tipped')?->outcomes);
        self::assertSame('look.oil_level', $job->getWaitsFor());

        $this->browser->followRedirect();
        $this->assertSays('#'.$job->getId().' Tarnsmith two-stage');
        self::assertStringContainsString('&lt;b&gt;snow', (string) $this->browser->getResponse()->getContent());
    }

    public function testADoubleTapTakesInOneMachineAndLeadsToIt(): void
    {
        $this->signIn();
        $fields = ['intake' => self::FIELDS + ['_token' => $this->token(), 'request_key' => '019ab4c2-7a11-7c11-8000-0123456789ab']];
        $this->browser->request('POST', '/take-in', $fields);
        $first = $this->browser->getResponse()->headers->get('Location');
        $this->browser->request('POST', '/take-in', $fields);
        self::assertSame($first, $this->browser->getResponse()->headers->get('Location'));
        $this->only();
    }

    public function testAMissingOrImpossibleEntryIsRefusedAndNothingTypedIsLost(): void
    {
        $this->signIn();
        $bad = ['kind' => '', 'label' => 'Half a machine', 'displacement' => '-3', 'oil' => 'a lot', 'idle' => '5000'] + self::FIELDS;
        $page = $this->browser->request('POST', '/take-in', ['intake' => $bad + ['_token' => $this->token()]]);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('-3 cm³ cannot be: allowed is 10 to 2000 cm³.');
        $this->assertSays('“a lot” is not a number.');
        $this->assertSays('Say what kind of machine it is.');
        self::assertSame('Half a machine', $page->filter('#intake_label')->attr('value'));
        self::assertSame('a lot', $page->filter('#intake_oil')->attr('value'));
        self::assertSame('e10', $page->filter('[name="intake[claims][claim_fuel_kind]"][checked]')->attr('value'));
        self::assertSame(0, self::service(JobRepository::class)->count());
    }

    public function testAnUnusualReadingIsAskedAboutOnce(): void
    {
        $this->signIn();
        $fields = ['displacement' => '950'] + self::FIELDS;
        $this->browser->request('POST', '/take-in', ['intake' => $fields + ['_token' => $this->token()]]);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('950 cm³ is unusual');
        $this->browser->request('POST', '/take-in', ['intake' => $fields + ['it_is_so' => '1', '_token' => $this->token()]]);
        self::assertResponseRedirects();
        self::assertSame(950.0, $this->only()->getMachine()->facts()->displacementCc);
    }

    public function testHostileShapesAreRefusedNotObeyed(): void
    {
        $this->signIn();
        foreach ([['label' => ['array']], ['kind' => 'tank'], ['claims' => 'text'], ['claims' => ['claim_tipped' => 'perhaps']], ['wantedBy' => '2026-02-31'], ['label' => str_repeat('x', 100000)], ['owner' => 'extra field'], ['label' => "\xff\xfe"]] as $hostile) {
            $this->browser->request('POST', '/take-in', ['intake' => $hostile + self::FIELDS + ['_token' => $this->token()]]);
            self::assertResponseStatusCodeSame(422, json_encode(array_keys($hostile), \JSON_THROW_ON_ERROR));
        }
        self::assertSame(0, self::service(JobRepository::class)->count());
    }

    public function testADisguisedPhotoIsRefusedAndNothingIsTakenIn(): void
    {
        $this->signIn();
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        file_put_contents($file, "GIF89a<?php system('id');");
        $this->browser->request('POST', '/take-in', ['intake' => self::FIELDS + ['_token' => $this->token()]], ['intake' => ['photos' => [new UploadedFile($file, 'mower.jpg', 'image/jpeg', null, true)]]]);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('not a JPEG, PNG or WebP picture');
        self::assertSame(0, self::service(JobRepository::class)->count());
        self::assertSame(0, self::service(PhotoRepository::class)->count());
    }

    public function testFactsAreKeptUpToDateAndForeignKeysSurvive(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/machine');
        $form = $page->selectButton('Save')->form(['intake[label]' => 'Renamed', 'intake[compressionRatio]' => '8,5']);
        $this->browser->submit($form);
        self::assertResponseRedirects('/jobs/'.$job->getId());
        self::assertSame('Renamed', $this->again($job)->getMachine()->getLabel());
        self::assertSame(8.5, $this->again($job)->getMachine()->facts()->compressionRatio);
    }

    public function testAChangeOfFactsIsInTheHistoryAndUndone(): void
    {
        $this->signIn();
        $job = $this->job();
        $change = function (array $fields) use ($job): void {
            $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/machine');
            $this->browser->submit($page->selectButton('Save')->form($fields));
        };
        $change(['intake[ownerName]' => 'Cabin 5', 'intake[oil]' => '550', 'intake[wantedBy]' => '2026-12-24']);
        $change(['intake[oil]' => '600']);
        $change(['intake[oil]' => '600']);
        $entries = $this->record($job)->entries;
        self::assertCount(2, $entries, 'Saving what stands already is no change.');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Oil it holds, mL: 600 before: 550');
        $this->assertSays('Customer: Cabin 5 before: Cabin 4');

        $this->post('/entries/'.$entries[0]->id.'/undo', []);
        $machine = $this->again($job)->getMachine();
        // Only what that change had changed goes back, to what it was.
        self::assertSame(['Cabin 4', null], [$machine->getOwnerName(), $machine->facts()->oilMl]);
        self::assertNull($this->again($job)->getWantedBy());
        $undo = $this->record($this->again($job))->entries[2];
        $this->post('/entries/'.$undo->id.'/undo', []);
        self::assertSame(['Cabin 5', 550.0], [$this->again($job)->getMachine()->getOwnerName(), $this->again($job)->getMachine()->facts()->oilMl]);
        self::assertSame('2026-12-24', $this->again($job)->getWantedBy()?->format('Y-m-d'));
    }

    /** All that is written on a job goes back by one undoing, and on again by the next. */
    public function testEverythingOfAChangeGoesBackAndOnAgain(): void
    {
        $this->signIn();
        $job = $this->job();
        $job->follow('jet_drilling', 'never');
        $job->limit(50.0, null);
        self::entities()->flush();
        $stands = function () use ($job): array {
            $now = $this->again($job);

            return [$now->getMachine()->getLabel(), $now->getMachine()->getOwnerContact(), $now->getMachine()->facts()->electricStart, $now->getRemarks(), $now->getSchools(), $now->getCap(), $now->getWorth(), $now->isComeback(), $now->getMissed(), $now->getWaitsOn()];
        };
        $before = $stands();
        $now = $this->again($job);
        self::service(Recorder::class)->rewrite($now, $this->member(Role::Technician), RequestKey::fresh(), static function () use ($now): void {
            $now->getMachine()->describe('Another', new MachineFacts(MachineKind::Mower, electricStart: true), 'Cabin 4', 'by the jetty');
            $now->wantedFor(null, 'leaks');
            $now->follow('jet_drilling', 'next_size_up');
            $now->follow('needle_seat', 'renew_both');
            $now->limit(120.0, 300.0);
            $now->sayComeback(true, 'the tank');
            $now->waitOn(WaitsOn::Owner);
        });
        $after = $stands();
        self::assertSame(['Another', 'by the jetty', true, 'leaks', ['jet_drilling' => 'next_size_up', 'needle_seat' => 'renew_both'], 120.0, 300.0, true, 'the tank', WaitsOn::Owner], $after);
        $entry = $this->record($this->again($job))->entries[0];
        $this->post('/entries/'.$entry->id.'/undo', []);
        self::assertSame($before, $stands());
        $this->post('/entries/'.$this->record($this->again($job))->entries[1]->id.'/undo', []);
        self::assertSame($after, $stands());
    }

    private function only(): Job
    {
        self::entities()->clear();
        $jobs = self::service(JobRepository::class)->findAll();
        self::assertCount(1, $jobs);

        return $jobs[0];
    }
}
