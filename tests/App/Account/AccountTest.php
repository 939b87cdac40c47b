<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Account;

use AwakeShed\App\Account\KeptForms;
use AwakeShed\App\Account\KnownSessions;
use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\OnOff;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\SessionMember;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Http\KeptInput;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Tests\App\ShedTestCase;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Routing\RouterInterface;

final class AccountTest extends ShedTestCase
{
    public function testEveryRouteButTheSignInPageNeedsASignIn(): void
    {
        $checked = 0;
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $name => $route) {
            $address = strtr($route->getPath(), ['{job}' => '1', '{sample}' => 'tank', '{part}' => 'look', '{id}' => '1', '{size}' => 'full', '{entry}' => '1', '{!bench}' => 'carburetor']);
            if (str_contains($address, '{') || \in_array($name, ['sign_in', 'lost_password', 'first_owner'], true)) {
                continue;
            }
            $this->browser->request($route->getMethods()[0] ?? 'GET', $address);
            self::assertResponseStatusCodeSame(303, (string) $name);
            self::assertStringStartsWith('/sign-in', (string) $this->browser->getResponse()->headers->get('Location'), (string) $name);
            ++$checked;
        }
        self::assertGreaterThan(25, $checked);
    }

    public function testSignsInAndOut(): void
    {
        $this->browser->followRedirects();
        $this->browser->request('GET', '/sign-in');
        $this->browser->submitForm('Sign in', ['name' => 'Technician', 'password' => self::PASSWORD]);
        $this->assertSays('The shed');
        $this->browser->submitForm('Sign out');
        self::assertSelectorExists('#password');
        $this->browser->request('GET', '/');
        self::assertSelectorExists('#password');
    }

    public function testTheSignInsOfTheDemoWorkFromThisMachineOnly(): void
    {
        $this->browser->followRedirects();
        $signIn = function (string $from): string {
            $this->browser->request('GET', '/sign-in', server: ['REMOTE_ADDR' => $from]);

            return $this->browser->submitForm('Sign in', ['name' => 'technician', 'password' => self::PASSWORD], serverParameters: ['REMOTE_ADDR' => $from])->filter('body')->text();
        };
        $elsewhere = '192.0.2.7';
        self::assertStringContainsString('The shed', $signIn($elsewhere), 'one’s own shed is reached from anywhere');
        $this->browser->getCookieJar()->clear();
        self::entities()->createQuery('UPDATE '.Shop::class.' shop SET shop.isDemo = true')->execute();
        self::entities()->clear();
        self::assertStringContainsString('work on the machine it runs on only', $signIn($elsewhere));
        self::assertStringContainsString('Sign out', $signIn('127.0.0.1'));
    }

    /** With the first request after the sign-in whoever signed in is known by one plain row. */
    public function testIsTheSameAsTheirRowUntilSomethingOfItChanges(): void
    {
        $member = $this->member(Role::Technician);
        $row = static fn (?int $id, Role $role): SessionMember => new SessionMember((int) $id, 'technician', 'Technician Tester', $role, UnitSystem::TradeMixed, $member->getLook(), OnOff::On, OnOff::On, [], false, 'session', false, new \DateTimeImmutable('2026-11-01'), 1);
        self::assertTrue($member->isEqualTo($row($member->getId(), Role::Technician)));
        self::assertFalse($member->isEqualTo($row($member->getId(), Role::Owner)));
        self::assertFalse($member->isEqualTo($row(1 + $member->getId(), Role::Technician)));
        self::assertFalse($member->isEqualTo($member));
    }

    public function testAWrongPasswordSaysNothingOfWhoWorksHereAndSoonMustWait(): void
    {
        $this->forgetTries();
        $this->browser->followRedirects();
        $said = [];
        foreach (['technician', 'nobody'] as $name) {
            $this->browser->request('GET', '/sign-in');
            $page = $this->browser->submitForm('Sign in', ['name' => $name, 'password' => 'wrong']);
            $said[] = $page->filter('[role=alert]')->text();
        }
        self::assertSame($said[0], $said[1]);
        for ($try = 0; $try < 6; ++$try) {
            $this->browser->request('GET', '/sign-in');
            $this->browser->submitForm('Sign in', ['name' => 'technician', 'password' => 'wrong']);
        }
        self::assertStringContainsString('Too many failed login attempts', $this->browser->getCrawler()->filter('[role=alert]')->text());
        // Not even the right one helps now.
        $this->browser->submitForm('Sign in', ['name' => 'technician', 'password' => self::PASSWORD]);
        self::assertSelectorExists('#password');
        $this->forgetTries();
    }

    public function testWhoHasLeftStaysOut(): void
    {
        $this->member(Role::Technician)->leave();
        self::entities()->flush();
        $this->browser->followRedirects();
        $this->browser->request('GET', '/sign-in');
        $this->browser->submitForm('Sign in', ['name' => 'technician', 'password' => self::PASSWORD]);
        self::assertSelectorExists('#password');
    }

    public function testKeepsPreferencesAndAWellProvedPassword(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/me');
        $other = static fn (OnOff $now): OnOff => OnOff::On === $now ? OnOff::Off : OnOff::On;
        [$letters, $sound] = [$other($this->member(Role::Technician)->getLetterKeys()), $other($this->member(Role::Technician)->getTimerSound())];
        $this->browser->submit($page->selectButton('Save')->form(['preferences[units]' => 'metric', 'preferences[look]' => 'sunlight', 'preferences[letterKeys]' => $letters->value, 'preferences[timerSound]' => $sound->value]));
        self::entities()->clear();
        $member = $this->member(Role::Technician);
        self::assertSame([UnitSystem::Metric, Look::Sunlight, $letters, $sound], [$member->getUnits(), $member->getLook(), $member->getLetterKeys(), $member->getTimerSound()]);

        $change = function (string $current, string $new): void {
            $page = $this->browser->request('GET', '/me');
            $this->browser->submit($page->selectButton('Change it')->form(['change_password[current]' => $current, 'change_password[new]' => $new]));
        };
        $change('wrong', 'a-long-enough-one');
        $this->assertSays('That is not your password.');
        $change(self::PASSWORD, 'short');
        self::assertResponseStatusCodeSame(422);
        $change(self::PASSWORD, 'a-long-enough-one');
        self::assertResponseRedirects('/me');
        self::entities()->clear();
        self::assertTrue(self::service(UserPasswordHasherInterface::class)->isPasswordValid($this->member(Role::Technician), 'a-long-enough-one'));
    }

    public function testOnlyTheOwnerKeepsThePeople(): void
    {
        foreach ([Role::Apprentice, Role::Technician] as $role) {
            $this->signIn($role);
            $this->browser->request('GET', '/people');
            self::assertResponseStatusCodeSame(403);
        }
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/people');
        $this->browser->submit($page->selectButton('Add them')->form(['new_member[name]' => 'Una Fairweather', 'new_member[signInName]' => 'Una', 'new_member[role]' => 'technician', 'new_member[password]' => 'long-enough-for-una']));
        self::assertResponseRedirects('/people');
        self::assertSame(Role::Technician, self::service(MemberRepository::class)->withSignInName('una')?->getRole());
        $page = $this->browser->request('GET', '/people');
        $this->browser->submit($page->selectButton('Add them')->form(['new_member[name]' => 'Other', 'new_member[signInName]' => 'una', 'new_member[role]' => 'technician', 'new_member[password]' => 'long-enough-for-una']));
        $this->assertSays('Somebody signs in by that name already');
    }

    public function testTheLastOwnerStays(): void
    {
        $this->signIn(Role::Owner);
        $owner = $this->member(Role::Owner);
        $this->post('/people/'.$owner->getId().'/leave', []);
        $this->post('/people/'.$owner->getId().'/role', ['role' => 'apprentice']);
        self::entities()->clear();
        self::assertTrue($this->member(Role::Owner)->isActive());
        self::assertSame(Role::Owner, $this->member(Role::Owner)->getRole());
        $technician = $this->member(Role::Technician);
        $this->post('/people/'.$technician->getId().'/role', ['role' => 'owner']);
        $this->post('/people/'.$owner->getId().'/leave', []);
        self::entities()->clear();
        self::assertFalse($this->member(Role::Owner)->isActive());
    }

    public function testAnExpiredSessionKeepsWhatWasTypedForWhoeverTypedIt(): void
    {
        $job = $this->job();
        $this->signInByHand();
        $this->browser->getCookieJar()->expire('MOCKSESSID');
        $this->browser->request('POST', '/jobs/'.$job->getId().'/findings', ['test' => 'look.oil_colour', 'outcome' => 'dark', '_token' => 'of-a-lost-session', 'request_key' => '019ab4c2-7a11-7c11-8000-0123456789ab'], server: ['HTTP_ORIGIN' => 'http://localhost']);
        self::assertResponseRedirects('/sign-in?kept=1');
        $this->browser->followRedirects();
        $this->browser->followRedirect();
        $this->assertSays('What you typed is kept');
        // Somebody else at the same device sees nothing of it.
        $this->browser->submitForm('Sign in', ['name' => 'apprentice', 'password' => self::PASSWORD]);
        $this->assertSays('The shed');
        $this->browser->submitForm('Sign out');
        $this->signInByHand();
        $this->assertSays('You were signed out while saving');
        $this->assertSays('Color of the oilDark');
        $this->browser->submitForm('Send it again');
        self::assertSame(['dark'], $this->record($job)->case()->standing('look.oil_colour')?->outcomes);
        $this->browser->request('GET', '/kept');
        self::assertResponseRedirects('/');
    }

    public function testWhatIsKeptIsWipedAtSignOut(): void
    {
        $this->signInByHand();
        $kept = KeptInput::fromRequest(Request::create('/jobs/1/findings', 'POST', ['test' => 'look.oil_colour']));
        self::service(KeptForms::class)->keep($this->member(Role::Technician)->getId(), $kept ?? self::fail());
        $this->browser->submitForm('Sign out');
        self::assertFalse(self::service(KeptForms::class)->has($this->member(Role::Technician)));
    }

    public function testNothingIsKeptForAStrangerNorForAnotherSite(): void
    {
        $this->signInByHand();
        $who = $this->browser->getCookieJar()->get('shed_who') ?? self::fail('The device is not marked.');
        $this->browser->getCookieJar()->clear();
        $send = fn (string $origin) => $this->browser->request('POST', '/jobs/1/findings', ['test' => 'look.oil_colour', 'outcome' => 'dark'], server: ['HTTP_ORIGIN' => $origin]);
        $send('http://localhost');
        self::assertResponseRedirects('/sign-in');
        $this->browser->getCookieJar()->set($who);
        $send('http://elsewhere.example');
        self::assertResponseRedirects('/sign-in');
        $this->browser->getCookieJar()->clear();
        $this->browser->getCookieJar()->set(new Cookie('shed_who', preg_replace('/^\d+/', (string) $this->member(Role::Owner)->getId(), $who->getValue()) ?? ''));
        $send('http://localhost');
        self::assertResponseRedirects('/sign-in');
        self::assertFalse(self::service(KeptForms::class)->has($this->member(Role::Owner)));
    }

    public function testAnonymousPagesBeginNoSession(): void
    {
        foreach (['GET' => ['/', '/sign-in', '/jobs/1', '/lost-password', '/nowhere'], 'POST' => ['/jobs/1/findings', '/take-in', '/sign-in']] as $method => $addresses) {
            foreach ($addresses as $address) {
                $this->browser->request($method, $address, 'POST' === $method ? ['name' => 'technician', 'password' => 'wrong', '_csrf_token' => 'x'] : []);
                self::assertNull($this->browser->getCookieJar()->get('MOCKSESSID'), "$method $address");
            }
        }
        // A made-up cookie is no session either.
        $this->browser->getCookieJar()->set(new Cookie('MOCKSESSID', str_repeat('a', 32)));
        $this->browser->request('GET', '/jobs/1');
        self::assertResponseRedirects('/sign-in?to=/jobs/1');
        self::assertFalse(self::service(KnownSessions::class)->has(str_repeat('a', 32)));
    }

    public function testSigningInLeadsBackToWhereOneWanted(): void
    {
        $job = $this->job();
        $this->browser->followRedirects();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/gates');
        $this->browser->submitForm('Sign in', ['name' => 'technician', 'password' => self::PASSWORD]);
        self::assertSame('/jobs/'.$job->getId().'/gates', $this->browser->getRequest()->getPathInfo());
        foreach (['//elsewhere.example', 'https://elsewhere.example', '/\\elsewhere.example', "/\t/elsewhere.example"] as $to) {
            $this->browser->restart();
            $page = $this->browser->request('GET', '/sign-in?to='.rawurlencode($to));
            self::assertCount(0, $page->filter('input[name=_target_path]'), $to);
        }
    }

    public function testAChangeWithoutATokenIsRefusedEverywhere(): void
    {
        $this->signIn(Role::Owner);
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_colour', 'dark'));
        $entry = $this->record($job)->entries[0]->id;
        foreach (["/jobs/{$job->getId()}/findings", "/jobs/{$job->getId()}/put-right", "/jobs/{$job->getId()}/hand-back", "/jobs/{$job->getId()}/fuel/tank/new-jar", "/jobs/{$job->getId()}/fuel/tank/school", "/jobs/{$job->getId()}/photos", "/entries/$entry/undo", "/entries/$entry/correct", '/people/'.$this->member(Role::Apprentice)->getId().'/leave'] as $address) {
            $this->browser->request('POST', $address, ['test' => 'look.oil_colour', 'outcome' => 'black', 'fault' => 'oil.low', 'school' => 'keep_if_clear_and_fresh']);
            self::assertResponseStatusCodeSame(403, $address);
        }
        foreach (['intake' => '/take-in', 'import' => '/import', 'waste' => "/jobs/{$job->getId()}/waste", 'preferences' => '/me', 'look' => "/jobs/{$job->getId()}/fuel/tank/read/look"] as $form => $address) {
            $this->browser->request('POST', $address, [$form => ['label' => 'x']]);
            self::assertResponseStatusCodeSame(422, $address);
        }
        self::assertCount(1, $this->record($job)->entries);
        self::assertFalse($this->again($job)->isHandedBack());
    }

    /** Tries are counted outside the database, and so outlive a test. */
    private function forgetTries(): void
    {
        $pool = self::getContainer()->get('cache.rate_limiter');
        self::assertInstanceOf(CacheItemPoolInterface::class, $pool);
        $pool->clear();
    }

    private function signInByHand(string $name = 'technician'): void
    {
        $this->browser->followRedirects();
        $this->browser->request('GET', '/sign-in');
        $this->browser->submitForm('Sign in', ['name' => $name, 'password' => self::PASSWORD]);
        $this->browser->followRedirects(false);
    }
}
