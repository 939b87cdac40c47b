<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Demo;

use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Demo\Barn;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

final class DemoTest extends KernelTestCase
{
    public function testTheBarnHasEveryKindAndEveryStand(): void
    {
        $barn = self::getContainer()->get(Barn::class);
        self::assertInstanceOf(Barn::class, $barn);
        $barn->fill(new \DateTimeImmutable('2026-11-23 15:00'));
        $repository = self::getContainer()->get(JobRepository::class);
        self::assertInstanceOf(JobRepository::class, $repository);
        $jobs = $repository->findAll();
        self::assertGreaterThanOrEqual(14, \count($jobs));
        $kinds = array_unique(array_map(static fn (Job $job): string => $job->getMachine()->getKind()->value, $jobs));
        self::assertCount(\count(MachineKind::cases()), $kinds);
        $stands = array_unique(array_map(static fn (Job $job): string => $job->getStand()->value, $jobs));
        self::assertCount(\count(Progress::cases()), $stands);
        self::assertCount(1, array_filter($jobs, static fn (Job $job): bool => $job->isHandedBack()));
        $people = self::getContainer()->get(MemberRepository::class);
        self::assertInstanceOf(MemberRepository::class, $people);
        foreach (['odalys' => Role::Owner, 'tamsin' => Role::Technician, 'wim' => Role::Apprentice] as $name => $role) {
            self::assertSame($role, $people->withSignInName($name)?->getRole(), $name);
        }
    }
}
