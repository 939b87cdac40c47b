<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Once;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Once\UsedKey;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\Console\Tester\CommandTester;

final class OncePerKeyTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    public function testRunsOnceAndAnswersTheSameEachTime(): void
    {
        $key = RequestKey::fresh();
        $runs = 0;
        $made = [];
        for ($tap = 0; $tap < 3; ++$tap) {
            $made[] = self::service(OncePerKey::class)->run($key, $this->member(Role::Technician)->getId(), static function () use (&$runs): int {
                return 40 + ++$runs;
            });
        }
        self::assertSame([1, [41, 41, 41]], [$runs, $made]);
    }

    public function testAFailureLeavesNothingBehindNotEvenTheKey(): void
    {
        $key = RequestKey::fresh();
        $member = $this->member(Role::Technician);
        try {
            self::service(OncePerKey::class)->run($key, $member->getId(), static function () use ($member): null {
                $member->appoint(Role::Owner);

                throw new \DomainException('half way');
            });
            self::fail('It was swallowed.');
        } catch (\DomainException $failure) {
            self::assertSame('half way', $failure->getMessage());
        }
        self::entities()->clear();
        self::assertSame(Role::Technician, $this->member(Role::Technician)->getRole());
        self::assertNull(self::entities()->find(UsedKey::class, $key->value));
    }

    public function testATextThatIsNoKeyIsNobodysRepeat(): void
    {
        self::assertNotSame(RequestKey::parse('nonsense')->value, RequestKey::parse('nonsense')->value);
        self::assertSame('019ab4c2-7a11-7c11-8000-0123456789ab', RequestKey::parse('019AB4C2-7A11-7C11-8000-0123456789AB')->value);
    }

    public function testOldKeysAreForgottenAndFreshOnesKept(): void
    {
        [$old, $fresh] = [RequestKey::fresh(), RequestKey::fresh()];
        self::mockTime(new \DateTimeImmutable('2026-08-01'));
        self::service(OncePerKey::class)->run($old, $this->member(Role::Technician)->getId(), static fn (): null => null);
        self::mockTime(new \DateTimeImmutable('2026-11-01'));
        self::service(OncePerKey::class)->run($fresh, $this->member(Role::Technician)->getId(), static fn (): null => null);
        $tester = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:forget-keys'));
        $tester->execute([]);
        self::assertStringContainsString('1 request keys forgotten.', $tester->getDisplay());
        self::entities()->clear();
        self::assertNull(self::entities()->find(UsedKey::class, $old->value));
        self::assertNotNull(self::entities()->find(UsedKey::class, $fresh->value));
    }
}
