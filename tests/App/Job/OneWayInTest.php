<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Job;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Wait\Wait;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Waste\WastePortion;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** A machine that went home takes no writing of any kind; whatever is sent is answered with the way back in. */
final class OneWayInTest extends ShedTestCase
{
    /** @return iterable<string, array{string, array<string, mixed>}> address, {job} and {id} to be filled in, and what is sent */
    public static function writings(): iterable
    {
        yield 'a finding' => ['/jobs/{job}/findings', ['test' => 'look.oil_level', 'outcome' => 'at_mark']];
        yield 'a cure' => ['/jobs/{job}/put-right', ['fault' => 'oil.low']];
        yield 'an act' => ['/jobs/{job}/acts', ['step' => 'flush.drain', 'ml' => '900 mL']];
        yield 'a move' => ['/jobs/{job}/carburetor', ['what' => 'begin', 'type' => 'bowl_brass']];
        yield 'a jar' => ['/jobs/{job}/fuel/tank/new-jar', []];
        yield 'waste' => ['/jobs/{job}/waste', ['waste' => ['stream' => 'stale_gasoline', 'volume' => '1 L']]];
        yield 'a wanted part' => ['/jobs/{job}/parts', ['name' => 'Needle', 'quantity' => '1']];
        yield 'a recording' => ['/jobs/{job}/traces/needle/import', ['csv' => "t [s],p [psi]\n0.5,1\n1,2\n2,3\n3,3\n", 'poles' => '2']];
        yield 'a timer ended' => ['/waits/{wait}/end', []];
        yield 'a timer set anew' => ['/waits/{wait}/minutes', ['minutes' => '20']];
        yield 'waste taken back' => ['/waste/{waste}/take-back', []];
        yield 'a wanted part that came' => ['/parts/{part}/here', []];
    }

    /** @param array<string, mixed> $sent */
    #[DataProvider('writings')]
    public function testAMachineThatWentHomeTakesNoWritingOfAnyKind(string $address, array $sent): void
    {
        $this->signIn();
        $job = $this->job();
        $things = $this->hangOn($job);
        $job->handBack(new \DateTimeImmutable('2026-11-21 12:00'));
        self::entities()->flush();
        $token = $this->token();
        $sent = array_map(static fn (mixed $fields): mixed => \is_array($fields) ? $fields + ['_token' => $token, 'request_key' => '0198c5a0-0000-7000-8000-000000000001'] : $fields, $sent);
        $before = $this->everything();
        $this->post(strtr($address, ['{job}' => $job->getId()] + $things), $sent);
        self::assertResponseStatusCodeSame(409);
        $this->assertSays('handed back');
        self::assertSame($before, $this->everything());
    }

    public function testAPageOpenedBeforeItWentHomeStartsNoTimerAfterwards(): void
    {
        $this->signIn();
        $job = $this->job();
        $form = $this->browser->request('GET', '/jobs/'.$job->getId().'/fuel/tank')->selectButton('Start the wait')->form(['settle[height]' => '100']);
        $job = $this->again($job);
        $job->handBack(new \DateTimeImmutable('2026-11-21 12:00'));
        self::entities()->flush();
        $before = $this->everything();
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(409);
        self::assertSame($before, $this->everything());
    }

    /** @return array<string, string> placeholder => number */
    private function hangOn(Job $job): array
    {
        $by = $this->member(Role::Technician);
        $at = new \DateTimeImmutable('2026-11-20 10:00');
        $things = ['{wait}' => new Wait($job, WaitKind::DryTank, $by, $at, $at->modify('+30 minutes')), '{waste}' => new WastePortion($job, WasteStream::StaleGasoline, Volume::millilitres(500), $by, $at), '{part}' => new WantedPart($job, 'Needle', 1, $by, $at)];
        array_map(self::entities()->persist(...), $things);
        self::entities()->flush();

        return array_map(static fn (Wait|WastePortion|WantedPart $thing): string => (string) $thing->getId(), $things);
    }

    /** @return array<string, mixed> all rows that hang on jobs */
    private function everything(): array
    {
        $rows = [];
        foreach (['entry', 'wait', 'waste_portion', 'wanted_part', 'trace', 'photo'] as $table) {
            $rows[$table] = self::entities()->getConnection()->fetchAllAssociative("SELECT * FROM $table ORDER BY id");
        }

        return $rows;
    }
}
