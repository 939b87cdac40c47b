<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Account;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Seal;
use AwakeShed\App\Account\Totp;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Psr\Cache\CacheItemPoolInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

final class SecondFactorTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    /** @return iterable<string, array{int, string, string}> seconds, code, hash: RFC 6238, appendix B */
    public static function vectors(): iterable
    {
        foreach ([
            [59, '94287082', '46119246', '90693936'],
            [1111111109, '07081804', '68084774', '25091201'],
            [1111111111, '14050471', '67062674', '99943326'],
            [1234567890, '89005924', '91819424', '93441116'],
            [2000000000, '69279037', '90698825', '38618901'],
            [20000000000, '65353130', '77737706', '47863826'],
        ] as [$at, $sha1, $sha256, $sha512]) {
            yield "SHA1 at $at" => [$at, $sha1, 'sha1'];
            yield "SHA256 at $at" => [$at, $sha256, 'sha256'];
            yield "SHA512 at $at" => [$at, $sha512, 'sha512'];
        }
    }

    /** @param int<0, max> $at */
    #[DataProvider('vectors')]
    public function testCodesAreThoseOfTheStandard(int $at, string $code, string $hash): void
    {
        // The standard's seeds are the digits over and over, to the length of each digest.
        $seed = substr(str_repeat('1234567890', 7), 0, ['sha1' => 20, 'sha256' => 32, 'sha512' => 64][$hash] ?? 0);
        self::assertSame($code, Totp::code(Totp::base32($seed), $at, 8, $hash));
    }

    public function testBase32IsThatOfTheStandard(): void
    {
        // RFC 4648, 10, without the padding.
        foreach (['f' => 'MY', 'fo' => 'MZXQ', 'foo' => 'MZXW6', 'foob' => 'MZXW6YQ', 'fooba' => 'MZXW6YTB', 'foobar' => 'MZXW6YTBOI'] as $bytes => $text) {
            self::assertSame($text, Totp::base32($bytes));
        }
    }

    public function testACodeOfTheNeighbouringStepIsTakenAndNoFurther(): void
    {
        $secret = Totp::secret();
        foreach ([-60 => false, -30 => true, 0 => true, 30 => true, 60 => false] as $off => $isGood) {
            self::assertSame($isGood, null !== Totp::step($secret, Totp::code($secret, 1_700_000_000 + $off), 1_700_000_000), (string) $off);
        }
    }

    public function testASealIsOpenedByItsOwnSecretOnly(): void
    {
        $sealed = (new Seal('one'))->close('JBSWY3DP');
        self::assertSame('JBSWY3DP', (new Seal('one'))->open($sealed));
        self::assertNull((new Seal('two'))->open($sealed));
        self::assertNull((new Seal('one'))->open(strrev($sealed)));
    }

    public function testAnOwnerSetsItUpAndIsAskedAtTheNextSignIn(): void
    {
        self::mockTime(new \DateTimeImmutable('2026-11-25 10:00:00'));
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/me/second-factor');
        $secret = str_replace(' ', '', $page->filter('code')->text());
        $page = $this->browser->submitForm('Switch it on', ['code' => '000000']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->submit($page->selectButton('Switch it on')->form(['code' => $this->code($secret)]));
        $codes = $this->browser->getCrawler()->filter('.codes code')->each(static fn ($code): string => $code->text());
        self::assertCount(8, $codes);
        $this->browser->request('GET', '/me/second-factor');
        self::assertResponseStatusCodeSame(200);
        $this->assertSays('Recovery codes left: 8.');
        self::assertStringNotContainsString($secret, $this->member(Role::Owner)->secondFactor()->getSealed());

        $this->passwordAlone();
        foreach (['/', '/people', '/me'] as $address) {
            $this->browser->request('GET', $address);
            self::assertResponseRedirects('/second-factor');
        }
        $ask = $this->browser->request('GET', '/second-factor');
        // The code that switched it on was seen: each is good once.
        $this->browser->submit($ask->selectButton('Go in')->form(['code' => $this->code($secret)]));
        self::assertResponseStatusCodeSame(422);
        self::mockTime(new \DateTimeImmutable('2026-11-25 10:01:00'));
        $this->browser->submit($ask->selectButton('Go in')->form(['code' => $this->code($secret)]));
        self::assertResponseRedirects('/');
        $this->browser->request('GET', '/people');
        self::assertResponseIsSuccessful();

        $this->passwordAlone();
        foreach ([[$codes[0], true], [$codes[0], false]] as [$code, $isGood]) {
            $this->passwordAlone();
            $this->browser->request('GET', '/second-factor');
            $this->browser->submitForm('Go in', ['code' => strtoupper($code)]);
            self::assertSame($isGood ? 303 : 422, $this->browser->getResponse()->getStatusCode());
        }
        for ($try = 0; $try < 7; ++$try) {
            $this->browser->submitForm('Go in', ['code' => '123456']);
        }
        $this->assertSays('Too many tries.');
    }

    public function testItIsSwitchedOffByACodeAndNotWithoutOne(): void
    {
        self::mockTime(new \DateTimeImmutable('2026-11-25 10:00:00'));
        $owner = $this->member(Role::Owner);
        $this->signInAs($owner);
        $page = $this->browser->request('GET', '/me/second-factor');
        $secret = str_replace(' ', '', $page->filter('code')->text());
        $this->browser->submitForm('Switch it on', ['code' => $this->code($secret)]);
        $noted = static fn (): mixed => self::entities()->getConnection()->fetchOne('SELECT COUNT(*) FROM audit_note WHERE what = ? AND member_id = ?', ['second_factor_off', $owner->getId()]);
        $switchOff = function (string $code): void {
            $page = $this->browser->request('GET', '/me/second-factor');
            $this->browser->submit($page->selectButton('Switch it off')->form(['code' => $code]));
        };
        self::mockTime(new \DateTimeImmutable('2026-11-25 10:05:00'));
        $switchOff('000000');
        self::assertResponseStatusCodeSame(422);
        self::assertTrue($this->member(Role::Owner)->secondFactor()->isOn());
        self::assertEquals(0, $noted());
        $switchOff($this->code($secret));
        self::assertResponseRedirects('/me');
        $this->browser->followRedirect();
        $this->assertSays('The second factor is off.');
        self::entities()->clear();
        self::assertFalse($this->member(Role::Owner)->secondFactor()->isOn());
        self::assertEquals(1, $noted());
    }

    public function testOnlyOwnersHaveOne(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/me/second-factor');
        self::assertResponseStatusCodeSame(403);
    }

    private function code(string $secret): string
    {
        return Totp::code($secret, max(0, self::service(ClockInterface::class)->now()->getTimestamp()));
    }

    private function passwordAlone(): void
    {
        $pool = self::getContainer()->get('cache.rate_limiter');
        self::assertInstanceOf(CacheItemPoolInterface::class, $pool);
        $pool->clear();
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', '/sign-in');
        $this->browser->submitForm('Sign in', ['name' => 'owner', 'password' => self::PASSWORD]);
    }
}
