<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Shop;

use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Diagnosis\ShopOdds;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\App\School\Schools;
use AwakeShed\App\Shop\DemoMachines;
use AwakeShed\App\Shop\OpeningCode;
use AwakeShed\App\Shop\ShopFile;
use AwakeShed\App\Shop\UnreadableShop;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Spec\SourceClass;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class ShopTest extends ShedTestCase
{
    /** @param list<string> $emptied a shop may stand already in which nobody is yet */
    #[TestWith([['shop', 'member']]), TestWith([['member']])]
    public function testTheFirstOwnerOpensTheShedOnceAndWithTheCodeOnly(array $emptied): void
    {
        foreach ($emptied as $table) {
            self::entities()->getConnection()->executeStatement("DELETE FROM $table");
        }
        self::entities()->clear();
        $code = self::service(OpeningCode::class)->current();
        foreach (['', '?code=', '?code=wrong'] as $query) {
            $this->browser->request('GET', '/first-owner'.$query);
            self::assertResponseStatusCodeSame(404);
        }
        $page = $this->browser->request('GET', '/first-owner?code='.$code);
        $fields = ['shop' => 'Fernhollow repairs', 'place' => 'Fernhollow', 'units' => 'metric', 'name' => 'Imre Sandvik', 'signInName' => 'imre', 'schools' => ['jet_drilling' => 'next_size_up']];
        $form = $page->selectButton('Open it')->form(['first_owner' => ['password' => 'password1234'] + $fields]);
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('one of the passwords everybody tries first');
        $this->browser->submit($form, ['first_owner[password]' => 'a wrench under the stairs']);
        self::assertResponseRedirects('/');
        $shop = self::service(Shops::class)->current() ?? self::fail('There is no shop.');
        self::assertSame(['Fernhollow repairs', 'Fernhollow', UnitSystem::Metric, false], [$shop->getName(), $shop->getPlace(), $shop->getUnits(), $shop->isDemo()]);
        self::assertEquals(1, self::entities()->getConnection()->fetchOne('SELECT COUNT(*) FROM shop'));
        $owner = self::service(MemberRepository::class)->withSignInName('imre');
        self::assertSame([Role::Owner, UnitSystem::Metric, false], [$owner?->getRole(), $owner?->getUnits(), $owner?->mustChangePassword()]);
        self::assertSame(['jet_drilling' => 'next_size_up'], self::service(Schools::class)->chosen());
        $this->browser->request('GET', '/people');
        self::assertResponseIsSuccessful();
        $this->browser->request('GET', '/first-owner?code='.$code);
        self::assertResponseStatusCodeSame(404);
        self::assertFalse(self::service(OpeningCode::class)->isRight($code));
    }

    public function testTheDemosPeopleSignInOnThisMachineOnly(): void
    {
        self::entities()->find(Shop::class, Shop::FIRST)?->call('x', '', UnitSystem::Us);
        self::entities()->getConnection()->executeStatement('UPDATE shop SET is_demo = 1');
        self::entities()->clear();
        $this->browser->request('GET', '/sign-in');
        $this->assertSays('This is the demo');
        foreach (['127.0.0.1' => true, '192.168.7.20' => false, '::1' => true] as $from => $may) {
            $this->browser->getCookieJar()->clear();
            $this->browser->request('GET', '/sign-in', server: ['REMOTE_ADDR' => $from]);
            $this->browser->submitForm('Sign in', ['name' => 'technician', 'password' => self::PASSWORD], serverParameters: ['REMOTE_ADDR' => $from]);
            self::assertSame($may, $this->browser->getResponse()->isRedirection(), $from);
        }
        $this->assertSays('');
    }

    public function testTheDemosMachinesAreThrownAwayInOneActAndOnesOwnStay(): void
    {
        [$demo, $own] = [$this->job(), $this->job()];
        $this->found($demo, Finding::observed('look.oil_colour', 'dark'));
        $demo->isForShow();
        self::entities()->flush();
        $this->signIn(Role::Owner);
        $this->sendPicture($demo);
        $pictures = self::pictures();
        $picture = self::service(PhotoRepository::class)->ofJob($this->again($demo))[0]->getFile();
        self::assertTrue($pictures->fileExists('full/'.$picture));
        $page = $this->browser->request('GET', '/shop');
        $this->browser->submit($page->selectButton('Throw them away')->form(['sure' => 'yes']));
        self::assertSame(2, self::service(JobRepository::class)->count([]));
        $this->browser->submit($page->selectButton('Throw them away')->form(['sure' => 'Throw away', 'request_key' => '019ab4c2-7a11-7c11-8000-0123456789ab']));
        self::entities()->clear();
        self::assertSame(1, self::service(JobRepository::class)->count([]));
        self::assertNotNull(self::entities()->find(Job::class, $own->getId()));
        self::assertSame([], array_filter(['full/', 'small/'], static fn (string $size): bool => $pictures->fileExists($size.$picture)));
        self::assertSame([0, 0], [self::service(DemoMachines::class)->count(), self::service(DemoMachines::class)->throwAway()]);
    }

    private function sendPicture(Job $job): void
    {
        $this->browser->request('POST', '/jobs/'.$job->getId().'/photos', ['_token' => $this->token(), 'request_key' => RequestKey::fresh()->value], ['photos' => [new UploadedFile(self::picture(40, 30), 'mower.jpg', 'image/jpeg', null, true)]]);
        self::assertResponseRedirects();
    }

    public function testTheDemoIsLaidIntoAnEmptyShedOnly(): void
    {
        $this->job();
        $command = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:demo'));
        $command->execute(['--if-empty' => true]);
        self::assertStringContainsString('nothing was laid over it', $command->getDisplay());
        self::assertSame(1, self::service(JobRepository::class)->count([]));
        $command->execute(['--holds' => true]);
        self::assertStringContainsString('1 jobs, 0 entries of their records', $command->getDisplay());
    }

    public function testWhatIsKeptOfAMachinesOwnerIsHandedOutAndErased(): void
    {
        $this->signIn(Role::Owner);
        $job = $this->job();
        $form = $this->browser->request('GET', "/jobs/{$job->getId()}/machine")->selectButton('Save')->form();
        $this->browser->submit($form, ['intake[ownerName]' => 'Ottoline Wexcombe', 'intake[ownerContact]' => 'rings the bell', 'intake[remarks]' => 'Ottoline wants it quiet']);
        $this->post("/jobs/{$job->getId()}/estimates", ['least' => '20', 'most' => '40', 'text' => '']);
        $estimate = self::entities()->getConnection()->fetchOne('SELECT id FROM estimate');
        $this->post('/estimates/'.(is_numeric($estimate) ? (int) $estimate : 0).'/answer', ['word' => 'approved', 'said_by' => 'Ottoline, at the counter']);
        $this->post("/jobs/{$job->getId()}/sheet/send", ['kind' => 'done', 'how' => 'link']);
        self::assertNotFalse(self::entities()->getConnection()->fetchOne('SELECT sha256 FROM sheet_copy'));
        $this->browser->request('GET', '/owners.json?name=Ottoline+Wexcombe');
        self::assertStringContainsString('rings the bell', (string) $this->browser->getResponse()->getContent());
        $page = $this->browser->request('GET', '/owners?name=Ottoline+Wexcombe');
        $this->browser->submit($page->selectButton('Erase')->form(['sure' => 'erase']));
        self::entities()->clear();
        self::assertSame(['Erased', ''], [$this->again($job)->getMachine()->getOwnerName(), $this->again($job)->getRemarks()]);
        self::assertFalse(self::entities()->getConnection()->fetchOne('SELECT sha256 FROM sheet_copy'), 'what went out carries the name');
        foreach (self::entities()->getConnection()->createSchemaManager()->listTableNames() as $table) {
            self::assertStringNotContainsStringIgnoringCase('Ottoline', json_encode(self::entities()->getConnection()->fetchAllAssociative("SELECT * FROM $table"), \JSON_THROW_ON_ERROR), $table);
        }
    }

    public function testOfManyNamesItIsSaidThatThereAreMore(): void
    {
        $this->signIn(Role::Owner);
        foreach (range(1, 30) as $cabin) {
            self::entities()->persist(new Machine('Heronbill', new MachineFacts(MachineKind::Mower), \sprintf('Heronry %02d', $cabin), ''));
        }
        self::entities()->flush();
        $page = $this->browser->request('GET', '/owners?name=ronry');
        self::assertCount(30, $page->filter('a[href*="Heronry"]'));
        self::assertSelectorTextNotContains('main', 'type more');
        self::entities()->persist(new Machine('Heronbill', new MachineFacts(MachineKind::Mower), 'Heronry 31', ''));
        self::entities()->flush();
        $page = $this->browser->request('GET', '/owners?name=ronry');
        self::assertCount(30, $page->filter('a[href*="Heronry"]'));
        self::assertStringNotContainsString('Heronry 31', $page->text());
        self::assertSelectorTextContains('main', 'type more of the one you look for');
    }

    public function testAnotherShopIsOpenedOnlyForAnOwnerOfAnotherName(): void
    {
        $shops = self::entities()->getConnection()->fetchOne('SELECT COUNT(*) FROM shop');
        $command = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:open-shop'));
        self::assertSame(2, $command->execute(['name' => 'Far shore', 'owner' => 'technician']));
        self::assertStringContainsString('Somebody in this installation signs in by that name', $command->getDisplay());
        self::assertSame($shops, self::entities()->getConnection()->fetchOne('SELECT COUNT(*) FROM shop'), 'nothing of it stays');
    }

    public function testTheCommandReadsAnArchiveInForAnOwnerWhoIsThere(): void
    {
        $this->job();
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        $command = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:shop-file'));
        self::assertSame(0, $command->execute(['file' => $file]));
        self::assertStringContainsString('Written.', $command->getDisplay());
        foreach (['entry', 'job', 'machine'] as $table) {
            self::entities()->getConnection()->executeStatement("DELETE FROM $table");
        }
        self::entities()->getConnection()->executeStatement("UPDATE member SET active = 0 WHERE role = 'owner'");
        self::entities()->clear();
        self::assertSame(1, $command->execute(['file' => $file, '--in' => true]));
        self::assertStringContainsString('no owner yet', $command->getDisplay());
        self::entities()->getConnection()->executeStatement("UPDATE member SET active = 1 WHERE role = 'owner'");
        self::assertSame(0, $command->execute(['file' => $file, '--in' => true]));
        self::assertStringContainsString('1 jobs read in.', $command->getDisplay());
        unlink($file);
    }

    public function testAllAShopOwnsGoesOutAndIntoAnEmptyShed(): void
    {
        $job = $this->job(label: 'Heronbill, travelling');
        $this->found($job, Finding::observed('look.oil_colour', 'dark'));
        $before = $this->record($job)->case();
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        $archive = self::service(ShopFile::class);
        $archive->write($file);
        try {
            $archive->read($file, $this->member(Role::Owner));
            self::fail('It was laid over a shed that is in use.');
        } catch (UnreadableShop $refusal) {
            self::assertSame('shop.not_empty', $refusal->reason());
        }
        foreach (['entry', 'job', 'machine'] as $table) {
            self::entities()->getConnection()->executeStatement("DELETE FROM $table");
        }
        self::entities()->clear();
        self::assertSame(1, $archive->read($file, $this->member(Role::Owner)));
        $again = self::service(JobRepository::class)->findAll()[0];
        self::assertSame('Heronbill, travelling', $again->getMachine()->getLabel());
        self::assertEquals($before->events, $this->record($again)->case()->events);
    }

    /** What is read in again is what went out: schools, odds, the spec book, pictures, who had it when, and what went home. */
    public function testASecondShedIsTheFirstOverAgain(): void
    {
        $this->signIn(Role::Owner);
        $job = $this->job(label: 'Heronbill, all of it');
        $this->post('/schools', ['question' => 'jet_drilling', 'school' => 'next_size_up']);
        self::service(ShopOdds::class)->change(['faults/spark.plug_bad/prior' => 0.4], $this->member(Role::Owner), RequestKey::fresh());
        $page = new SpecPage('Heronbill 160', MachineKind::Mower);
        $page->write([new SpecValue(SpecFigure::Oil, 620, SourceClass::Published, 'its manual')]);
        self::entities()->persist($page);
        $this->sendPicture($job);
        $job = self::service(JobRepository::class)->findAll()[0];
        $job->getMachine()->describe('Heronbill, all of it', $job->getMachine()->facts(), 'Cabin 9', 'by the jetty');
        $job->wantedFor(new \DateTimeImmutable('2026-12-01'), 'leaks when tipped');
        $job->handBack(new \DateTimeImmutable('2026-11-22 10:00 UTC'));
        self::entities()->flush();

        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        self::service(ShopFile::class)->write($file);
        /** @return array{array{shop: array<string, mixed>, schools: array<string, string>, jobs: list<array{owner: string, contact: string, remarks: string, wanted_by: string|null, photos: int, ...}>}, mixed, list<string>} */
        $told = static function () use ($file): array {
            $zip = new \ZipArchive();
            $zip->open($file);
            /** @var array{shop: array<string, mixed>, schools: array<string, string>, jobs: list<array{case: string, label: string, owner: string, contact: string, remarks: string, taken_in: string, wanted_by: string|null, handed_back: string|null, photos: list<string>}>} $shop */
            $shop = json_decode((string) $zip->getFromName('shop.json'), true, 16, \JSON_THROW_ON_ERROR);
            // Jobs and pictures are counted anew.
            $jobs = [];
            foreach ($shop['jobs'] as $one) {
                $jobs[] = ['case' => '', 'photos' => \count($one['photos'])] + $one;
            }
            $shop['jobs'] = $jobs;

            return [$shop, json_decode((string) $zip->getFromName('spec-book.json'), true), array_map(static fn (string $csv): string => (string) $zip->getFromName($csv), ['oil.csv', 'parts.csv', 'shelf.csv'])];
        };
        $before = $told();
        self::assertSame(['jet_drilling' => 'next_size_up'], $before[0]['schools']);
        self::assertSame(['name' => self::service(Shops::class)->current()?->getName(), 'place' => self::service(Shops::class)->current()?->getPlace(), 'units' => self::service(Shops::class)->current()?->getUnits()->value], $before[0]['shop']);
        self::assertSame([1, 'Cabin 9', 'by the jetty', 'leaks when tipped', '2026-12-01'], [$before[0]['jobs'][0]['photos'], $before[0]['jobs'][0]['owner'], $before[0]['jobs'][0]['contact'], $before[0]['jobs'][0]['remarks'], $before[0]['jobs'][0]['wanted_by']]);
        foreach (['photo', 'entry', 'job', 'machine', 'own_odds', 'spec_page', 'shop_school'] as $table) {
            self::entities()->getConnection()->executeStatement("DELETE FROM $table");
        }
        self::entities()->clear();
        self::assertSame(1, self::service(ShopFile::class)->read($file, $this->member(Role::Owner)));
        self::entities()->clear();
        self::service(ShopFile::class)->write($file);
        self::assertSame($before, $told());
        unlink($file);
    }

    /** @return iterable<string, array{array<string, string>, string}> files of the archive; what is said */
    public static function broken(): iterable
    {
        $sheet = ['case' => 'cases/job-1.json', 'label' => 'Heronbill', 'owner' => '', 'contact' => '', 'remarks' => '', 'taken_in' => '2026-11-20T09:00:00+00:00', 'wanted_by' => null, 'handed_back' => null, 'photos' => []];
        $case = json_encode(['format' => 'awake-shed/case', 'version' => 1, 'machine' => ['kind' => 'mower'], 'findings' => []], \JSON_THROW_ON_ERROR);
        $shop = static fn (array $more): array => ['shop.json' => json_encode($more + ['format' => 'awake-shed/shop', 'version' => 1], \JSON_THROW_ON_ERROR), 'cases/job-1.json' => $case];
        yield 'no JSON' => [['shop.json' => 'once upon a time'], 'That is no archive of a shop: a zip with shop.json in it.'];
        yield 'another format' => [['shop.json' => '{"format":"awake-shed/case","version":1}'], 'That is no archive of a shop: a zip with shop.json in it.'];
        yield 'a later version' => [['shop.json' => '{"format":"awake-shed/shop","version":2}'], 'shop.json: /version: '];
        yield 'a school that is a number' => [$shop(['schools' => ['jet_drilling' => 7]]), 'shop.json: /schools: '];
        yield 'a school that is none' => [$shop(['schools' => ['jet_drilling' => 'by_eye']]), 'by_eye'];
        yield 'odds that are a word' => [$shop(['odds' => ['faults/spark.plug_bad/prior' => 'high']]), 'shop.json: /odds: '];
        yield 'odds above one' => [$shop(['odds' => ['faults/spark.plug_bad/prior' => 1.5]]), 'faults/spark.plug_bad/prior'];
        yield 'a job without words' => [$shop(['jobs' => [$sheet, []]]), 'shop.json: /jobs/1: '];
        yield 'a job without a name' => [$shop(['jobs' => [['label' => ' '] + $sheet]]), 'shop.json: /jobs/0/label: '];
        yield 'a name that is too long' => [$shop(['jobs' => [['owner' => str_repeat('x', 121)] + $sheet]]), 'shop.json: /jobs/0/owner: '];
        yield 'a day that is none' => [$shop(['jobs' => [$sheet, ['wanted_by' => '2026-02-30'] + $sheet]]), 'shop.json: /jobs/1/wanted_by: '];
        yield 'a moment that is none' => [$shop(['jobs' => [['taken_in' => 'last week'] + $sheet]]), 'shop.json: /jobs/0/taken_in: '];
        yield 'a case that is not there' => [$shop(['jobs' => [$sheet, ['case' => 'cases/job-2.json'] + $sheet]]), 'cases/job-2.json: it is not in the archive.'];
        yield 'a picture that is not there' => [$shop(['jobs' => [['photos' => ['photos/1.jpg']] + $sheet]]), 'photos/1.jpg: it is not in the archive.'];
        yield 'a case that is none' => [['cases/job-2.json' => '{"format":"awake-shed/case","version":1}'] + $shop(['jobs' => [$sheet, ['case' => 'cases/job-2.json'] + $sheet]]), 'cases/job-2.json: '];
        yield 'a picture that is none' => [['photos/1.jpg' => 'a heron'] + $shop(['jobs' => [$sheet, ['photos' => ['photos/1.jpg']] + $sheet]]), 'picture'];
        yield 'a page of the spec book that is none' => [['spec-book.json' => '{"format":"awake-shed/spec-book","version":1,"pages":[{"name":"Heronbill","figures":{"oil":{"amount":"much"}}}]}'] + $shop(['jobs' => [$sheet]]), 'spec-book.json: '];
    }

    /** @param array<string, string> $files */
    #[DataProvider('broken')]
    public function testOfABrokenArchiveNothingIsReadIn(array $files, string $said): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        $zip = new \ZipArchive();
        $zip->open($file, \ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
        }
        $zip->close();
        $rows = static fn (): array => array_map(static fn (string $table): mixed => self::entities()->getConnection()->fetchOne("SELECT COUNT(*) FROM $table"), ['job', 'machine', 'entry', 'shop_school', 'own_odds', 'spec_page', 'photo', 'used_key', 'audit_note']);
        $before = $rows();
        $command = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:shop-file'));
        self::assertSame(1, $command->execute(['file' => $file, '--in' => true]));
        self::assertStringContainsString($said, $command->getDisplay());
        self::entities()->clear();
        self::assertSame($before, $rows());
        unlink($file);
    }

    public function testTheTrailSaysWhoDidWhatAndWhatItSaidBefore(): void
    {
        $this->signIn(Role::Owner);
        $this->post('/schools', ['question' => 'jet_drilling', 'school' => 'next_size_up']);
        $this->browser->request('GET', '/spec.csv');
        $this->browser->request('GET', '/audit');
        $this->assertSays('School chosen: jet_drilling');
        $this->assertSays('school: never');
        $this->assertSays('school: next_size_up');
        $this->assertSays('Taken out: /spec.csv');
        $this->signIn();
        $this->browser->request('GET', '/people');
        $this->browser->request('GET', '/audit');
        self::assertResponseStatusCodeSame(403);
        $this->signIn(Role::Owner);
        $this->browser->request('GET', '/audit?what=refused');
        $this->assertSays('GET /people');
        self::assertCount(2, $this->browser->getCrawler()->filter('tbody tr'));
    }

    public function testOldNotesGoByTheRule(): void
    {
        self::entities()->getConnection()->executeStatement("INSERT INTO audit_note (at, what, subject, said_before, says_now, address, shop_id) VALUES ('2020-01-01', 'signed_in', 'x', '[]', '[]', '', 1)");
        $command = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:forget-notes'));
        $command->execute(['--days' => '3']);
        self::assertSame(2, $command->getStatusCode());
        self::assertStringContainsString('from 30 up', $command->getDisplay());
        $command->execute([]);
        self::assertStringContainsString('1 notes forgotten.', $command->getDisplay());
        // Two years, to the day.
        foreach ([729, 731] as $days) {
            self::entities()->getConnection()->executeStatement("INSERT INTO audit_note (at, what, subject, said_before, says_now, address, shop_id) VALUES (UTC_TIMESTAMP() - INTERVAL $days DAY, 'signed_in', 'x', '[]', '[]', '', 1)");
        }
        $command->execute([]);
        self::assertStringContainsString('1 notes forgotten.', $command->getDisplay());
    }
}
