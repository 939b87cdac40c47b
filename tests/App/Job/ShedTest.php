<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Job;

use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class ShedTest extends ShedTestCase
{
    public function testAnEmptyShedTeaches(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/');
        $this->assertSays('The shed is empty.');
        self::assertSelectorExists('.empty a[href="/take-in"]');
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function questions(): iterable
    {
        yield 'everything, soonest first' => ['/', ['Blue blower', 'Amber mower', 'Grey generator']];
        yield 'by name' => ['/?find=amber', ['Amber mower']];
        yield 'by kind' => ['/?kind=generator', ['Grey generator']];
        yield 'stopped' => ['/?stand=stopped', ['Amber mower']];
        yield 'by machine' => ['/?sort=machine', ['Amber mower', 'Blue blower', 'Grey generator']];
        yield 'a percent sign is a percent sign' => ['/?find=%25', []];
        yield 'mangled addresses show the shed' => ['/?kind[]=x&stand=nowhere&sort=%00&page=-7', ['Blue blower', 'Amber mower', 'Grey generator']];
        yield 'a page that leads from no machine is the first' => ['/?after=999999999', ['Blue blower', 'Amber mower', 'Grey generator']];
    }

    /** @param list<string> $labels */
    #[DataProvider('questions')]
    public function testFindsFiltersAndSorts(string $address, array $labels): void
    {
        $this->signIn();
        $this->job(MachineKind::Mower, 'Amber mower')->wantedFor(new \DateTimeImmutable('2026-12-05'), '');
        $this->job(MachineKind::Snowblower, 'Blue blower')->wantedFor(new \DateTimeImmutable('2026-12-01'), '');
        $this->job(MachineKind::Generator, 'Grey generator');
        self::entities()->flush();
        foreach (self::service(JobRepository::class)->findAll() as $job) {
            if ('Amber mower' === $job->getMachine()->getLabel()) {
                $this->found($job, Finding::observed('look.oil_smell', 'gas'));
            }
        }
        $page = $this->browser->request('GET', $address);
        self::assertResponseIsSuccessful();
        self::assertSame($labels, $page->filter('.shed-row .machine')->each(static fn ($node): string => $node->text()));
    }

    public function testAJobIsFoundByItsNumber(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->job(label: 'Another');
        $page = $this->browser->request('GET', '/?find=%23'.$job->getId());
        self::assertSame(['Heronbill test mower'], $page->filter('.shed-row .machine')->each(static fn ($node): string => $node->text()));
    }

    public function testAJobThatIsNotThereIsSaidSo(): void
    {
        $this->signIn();
        foreach (['/jobs/999999999', '/jobs/0', '/jobs/abc', '/jobs/99999999999999999999', '/photos/1/full.jpg', '/nowhere'] as $address) {
            $this->browser->request('GET', $address);
            self::assertResponseStatusCodeSame(404, $address);
            $this->assertSays('There is nothing here');
        }
    }
}
