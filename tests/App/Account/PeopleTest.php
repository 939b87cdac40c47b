<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Account;

use AwakeShed\App\Account\LastOwner;
use AwakeShed\App\Account\Links;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\OneTimeLink;
use AwakeShed\App\Account\OpenSession;
use AwakeShed\App\Account\OpenSessionRepository;
use AwakeShed\App\Account\People;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\SignInName;
use AwakeShed\App\Account\Token;
use AwakeShed\App\Audit\AuditNote;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Notes;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpFoundation\Request;

/** Who is in, who is out, and how somebody gets in who has no password. */
final class PeopleTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    public function testWhoLeavesIsOutAtOnceInEverySession(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/');
        self::assertResponseIsSuccessful();
        self::service(People::class)->leaveOrReturn($this->member(Role::Technician), true, $this->member(Role::Owner));
        $this->browser->request('GET', '/');
        self::assertResponseRedirects('/sign-in');
        self::assertSame([], self::service(OpenSessionRepository::class)->ofMember($this->member(Role::Technician)));
    }

    public function testAnotherRoleEndsTheSession(): void
    {
        $this->signIn(Role::Owner);
        $this->browser->request('GET', '/people');
        self::assertResponseIsSuccessful();
        $owner = $this->member(Role::Owner);
        $technician = $this->member(Role::Technician);
        self::service(People::class)->appoint($technician, Role::Owner, Role::Technician, $owner);
        self::service(People::class)->appoint($owner, Role::Apprentice, Role::Owner, $technician);
        $this->browser->request('GET', '/people');
        self::assertResponseStatusCodeSame(303);
    }

    public function testARecordingKnowsThatItsListenerIsSignedOut(): void
    {
        $this->signIn();
        $sessions = self::service(OpenSessionRepository::class);
        $session = $sessions->ofMember($this->member(Role::Technician))[0]->getId();
        self::assertTrue($sessions->isOpen($session));
        self::service(People::class)->signOutEverywhere($this->member(Role::Technician), $this->member(Role::Owner));
        self::assertFalse($sessions->isOpen($session));
    }

    public function testOneSessionOrAllOthersAreEndedByTheirPerson(): void
    {
        $this->signIn();
        $member = $this->member(Role::Technician);
        foreach (['Mozilla/5.0 (iPhone) Safari/1', 'Mozilla/5.0 (Windows NT) Firefox/1'] as $agent) {
            self::service(\AwakeShed\App\Account\SessionKeeper::class)->open($member, new Request(server: ['HTTP_USER_AGENT' => $agent]));
        }
        $page = $this->browser->request('GET', '/me');
        self::assertStringContainsString('Safari, iPhone', $page->filter('#sessions')->text());
        $this->browser->submit($page->filter('#sessions')->selectButton('Sign out there')->form());
        self::assertCount(2, self::service(OpenSessionRepository::class)->ofMember($this->member(Role::Technician)));
        $this->browser->submit($this->browser->request('GET', '/me')->filter('#sessions')->selectButton('Sign out everywhere else')->form());
        self::assertCount(1, self::service(OpenSessionRepository::class)->ofMember($this->member(Role::Technician)));
        $this->browser->request('GET', '/me');
        self::assertResponseIsSuccessful();
    }

    public function testTheLastOwnerIsRefusedUnderTheLock(): void
    {
        $people = self::service(People::class);
        $owner = $this->member(Role::Owner);
        foreach ([static fn () => $people->appoint($owner, Role::Technician, Role::Owner, $owner), static fn () => $people->leaveOrReturn($owner, true, $owner)] as $attempt) {
            try {
                $attempt();
                self::fail('The shed has no owner now.');
            } catch (LastOwner) {
                self::assertSame([Role::Owner, true], [$owner->getRole(), $owner->isActive()]);
            }
        }
    }

    public function testALinkLetsOnePersonChooseAPasswordOnce(): void
    {
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/people');
        $this->browser->submit($page->selectButton('Add them')->form(['new_member[name]' => 'Una Fairweather', 'new_member[signInName]' => 'una', 'new_member[role]' => 'technician']));
        $link = $this->browser->getCrawler()->filter('.one-time-link')->text();
        $this->browser->getCookieJar()->clear();
        $path = (string) parse_url($link, \PHP_URL_PATH);
        $form = $this->browser->request('GET', $path)->selectButton('Choose it and go in')->form();
        $this->browser->submit($form, ['own_password[new]' => 'short']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->submit($form, ['own_password[new]' => 'three ladders and a lamp']);
        self::assertResponseRedirects('/');
        $this->browser->followRedirect();
        $this->assertSays('Una');
        $this->browser->request('GET', $path);
        self::assertResponseStatusCodeSame(410);
    }

    public function testALinkGoesStaleAndAnEarlierOneWithIt(): void
    {
        $links = self::service(Links::class);
        $token = static fn (string $link): string => basename($link);
        $first = $links->make($this->member(Role::Technician), 1, null);
        $second = $links->make($this->member(Role::Technician), 1, null);
        self::entities()->clear();
        self::assertNull($links->find($token($first)));
        self::assertNotNull($links->find($token($second)));
        self::mockTime('+2 hours');
        self::assertNull($links->find($token($second)));
        self::assertStringNotContainsString($token($second), (string) json_encode(self::entities()->getConnection()->fetchAllAssociative('SELECT * FROM one_time_link'), \JSON_THROW_ON_ERROR));
    }

    /** @return iterable<string, array{int, string, string}> hours, while it is good, and when it is no more */
    public static function lasting(): iterable
    {
        yield 'an invitation, over a long weekend' => [Links::INVITATION, '+71 hours 59 minutes', '+72 hours 1 minute'];
        yield 'for a lost password' => [Links::LOST, '+59 minutes', '+61 minutes'];
    }

    #[DataProvider('lasting')]
    public function testALinkLasts(int $hours, string $good, string $gone): void
    {
        $links = self::service(Links::class);
        $now = new \DateTimeImmutable('2026-06-05 12:00:00 UTC');
        self::mockTime($now);
        $token = basename($links->make($this->member(Role::Technician), $hours, null));
        self::mockTime($now->modify($good));
        self::assertNotNull($links->find($token));
        self::mockTime($now->modify($gone));
        self::assertNull($links->find($token));
    }

    public function testThatALinkWasUsedIsWrittenDownOnceAndOfWhom(): void
    {
        $links = self::service(Links::class);
        $member = $this->member(Role::Technician);
        $link = $links->find(basename($links->make($member, Links::INVITATION, null))) ?? self::fail('It was made just now.');
        self::assertSame([], self::service(Notes::class)->latest(Deed::LinkUsed, null));
        self::assertTrue($links->use($link));
        self::assertFalse($links->use($link));
        $notes = self::service(Notes::class)->latest(Deed::LinkUsed, null);
        self::assertSame([[$member->getId(), $member->getName()]], array_map(static fn (AuditNote $note): array => [$note->getMemberId(), $note->getSubject()], $notes));
    }

    public function testWhoUsesALinkEndsEveryOtherOfTheirs(): void
    {
        $links = self::service(Links::class);
        $member = $this->member(Role::Technician);
        $link = $links->find(basename($links->make($member, Links::INVITATION, null))) ?? self::fail('It was made just now.');
        // Made in the same moment by somebody else.
        self::entities()->persist(new OneTimeLink($other = Token::fresh(), $member, new \DateTimeImmutable('+1 hour')));
        self::entities()->flush();
        self::assertNotNull($links->find($other));
        self::assertTrue($links->use($link));
        self::entities()->clear();
        self::assertNull($links->find($other));
    }

    public function testAFirstPasswordOpensNothingButThePageThatChangesIt(): void
    {
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/people');
        $this->browser->submit($page->selectButton('Add them')->form(['new_member[name]' => 'Una', 'new_member[signInName]' => 'una', 'new_member[role]' => 'technician', 'new_member[password]' => 'a ladder for una only']));
        $this->browser->getCookieJar()->clear();
        $this->browser->followRedirects();
        $this->browser->request('GET', '/sign-in');
        $this->browser->submitForm('Sign in', ['name' => 'una', 'password' => 'a ladder for una only']);
        $this->browser->request('GET', '/spec');
        $this->assertSays('A password of your own');
        $this->browser->submitForm('Take this one', ['own_password[new]' => 'three ladders and a lamp']);
        $this->browser->request('GET', '/spec');
        $this->assertSays('Spec book');
    }

    public function testALostPasswordIsAnsweredTheSameForEverybodyAndSentByMailToWhoHasOne(): void
    {
        $this->member(Role::Technician)->call('Technician Tester', 'technician@shed.example');
        self::entities()->flush();
        $said = [];
        foreach (['technician', 'nobody', 'apprentice'] as $name) {
            $this->browser->request('GET', '/lost-password');
            $this->browser->submitForm('Send me a link', ['name' => $name]);
            $said[] = preg_replace('/value="[^"]*"/', '', (string) $this->browser->getResponse()->getContent());
        }
        self::assertSame([$said[0], $said[0]], [$said[1], $said[2]]);
        self::assertCount(1, self::entities()->getConnection()->fetchAllAssociative('SELECT member_id FROM one_time_link'));
    }

    /** @return iterable<string, array{string, bool}> */
    public static function passwords(): iterable
    {
        yield 'short' => ['eleven chrs', false];
        yield 'common' => ['passwordpassword', false];
        yield 'common with a number' => ['mustang19691969', false];
        yield 'common with look-alikes' => ['p@ssw0rd12345!', false];
        yield 'a run' => ['abcdefghijklm', false];
        yield 'a run of keys' => ['qwertyuiop12', false];
        yield 'one letter' => ['aaaaaaaaaaaaaaaa', false];
        yield 'digits' => ['123456789012', false];
        yield 'a few words' => ['tray under the filler', true];
        yield 'accents' => ['schräger schuppen', true];
    }

    #[DataProvider('passwords')]
    public function testWhatMayBeAPassword(string $password, bool $isGood): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/me');
        $this->browser->submit($page->selectButton('Change it')->form(['change_password[current]' => self::PASSWORD, 'change_password[new]' => $password]));
        self::assertSame($isGood ? 302 : 422, $this->browser->getResponse()->isRedirection() ? 302 : $this->browser->getResponse()->getStatusCode());
    }

    public function testNamesAreComparedWithoutTricks(): void
    {
        $members = self::service(MemberRepository::class);
        self::assertNull($members->withSignInName('téchnician'));
        self::assertSame('Technician Tester', $members->withSignInName(' TECHNICIAN ')?->getName());
        self::assertSame('Technician Tester', $members->withSignInName('ｔechnician')?->getName());
        foreach (['téchnician', 'TechnicIan', 'technic1an', 'теchnician'] as $name) {
            self::assertTrue($members->isLikeAnother($name), $name);
        }
        self::assertFalse($members->isLikeAnother('una'));
        self::assertSame('strasse', SignInName::fromTyped('STRAẞE'));
    }

    public function testAnUnknownNameCostsOneHashLikeAKnownOne(): void
    {
        $hashes = new \ArrayObject();
        $hasher = self::createStub(\Symfony\Component\PasswordHasher\PasswordHasherInterface::class);
        $hasher->method('hash')->willReturnCallback(static function () use ($hashes): string {
            $hashes->append('x');

            return 'x';
        });
        $factory = self::createStub(\Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface::class);
        $factory->method('getPasswordHasher')->willReturn($hasher);
        $provider = new \AwakeShed\App\Account\MemberProvider(self::service(MemberRepository::class), self::service(OpenSessionRepository::class), $factory, self::service(CurrentShop::class));
        $provider->loadUserByIdentifier('technician');
        self::assertCount(0, $hashes);
        try {
            $provider->loadUserByIdentifier('nobody');
            self::fail('Nobody was found.');
        } catch (\Symfony\Component\Security\Core\Exception\UserNotFoundException) {
            self::assertCount(1, $hashes);
        }
    }

    public function testAtTheShedsOwnComputerAnOwnerIsHelpedBackIn(): void
    {
        $command = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:owner'));
        $command->execute(['name' => 'owner']);
        self::assertMatchesRegularExpression('#/welcome/[\w-]{32}#', $command->getDisplay());
        $command->execute(['name' => 'apprentice']);
        self::assertSame(2, $command->getStatusCode());
        $command->execute(['name' => 'apprentice', '--appoint' => true]);
        self::entities()->clear();
        self::assertSame(Role::Owner, $this->member(Role::Apprentice)->getRole());
    }

    public function testTheNameOfSomebodyWhoLeftIsErasedAndTheirWorkStays(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_colour', 'dark'));
        $this->signIn(Role::Owner);
        $technician = $this->member(Role::Technician);
        $id = $technician->getId();
        $this->post("/people/$id/forget", []);
        self::entities()->clear();
        self::assertSame('Technician Tester', self::entities()->find(Member::class, $id)?->getName());
        $this->post("/people/$id/leave", ['was' => 'in']);
        self::entities()->persist(new OpenSession($this->member(Role::Technician), 'their own phone', new \DateTimeImmutable()));
        self::entities()->flush();
        $this->post("/people/$id/forget", []);
        self::assertSame([''], self::entities()->getConnection()->fetchFirstColumn('SELECT device FROM open_session WHERE member_id = ?', [$id]));
        self::entities()->clear();
        self::assertSame("Former member $id", self::entities()->find(Member::class, $id)?->getName());
        self::assertStringStartsWith('Former member', $this->record($this->again($job))->entries[0]->by->name);
    }
}
