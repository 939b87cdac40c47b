<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Intake;

use AwakeShed\App\Job\JobRepository;
use AwakeShed\Tests\App\ShedTestCase;

/** A whole barn from a table: tried first, row by row, and taken in once. */
final class IntakeListTest extends ShedTestCase
{
    public function testTheTableToFillInIsRightAsItIs(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/take-in/list.csv');
        $template = $this->browser->getInternalResponse()->getContent();
        $this->post('/take-in/list', ['list' => $template, 'do' => 'try']);
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('[data-tried]', '2 machines, ready to be taken in');
        self::assertSame(0, self::service(JobRepository::class)->count([]), 'trying takes nothing in');
    }

    public function testEveryRowThatIsWrongIsNamedAndNothingIsTakenIn(): void
    {
        $this->signIn();
        $table = "kind;name;customer;stood;wanted\nMower;Heron 46;Cabin 1;6 years;2027-04-01\ntractor;Big one;Cabin 2;;\nsnowblower;;Cabin 3;;\nmower;Late one;Cabin 4;-3;2027-02-30\n";
        $this->post('/take-in/list', ['list' => $table, 'do' => 'take']);
        self::assertResponseStatusCodeSame(422);
        $problems = $this->browser->getCrawler()->filter('.problems li')->each(static fn ($item): string => $item->text());
        self::assertCount(3, $problems);
        self::assertStringContainsString('Line 3: “tractor” is not known here.', $problems[0]);
        self::assertStringContainsString('Line 4: Give it a name', $problems[1]);
        self::assertStringContainsString('“2027-02-30” is no day', $problems[2]);
        self::assertSelectorTextContains('textarea', 'Late one');
        self::assertSame(0, self::service(JobRepository::class)->count([]));
    }

    public function testTakenInTwiceUnderOneKeyItIsTakenInOnce(): void
    {
        $this->signIn();
        $table = "kind,name,customer,contact,stood,wanted,remarks\nMower,\"Heron, red\",Cabin 1,,33,,\"said \"\"fine\"\"\"\nPressure washer,Spray,Cabin 2,,,,\n";
        for ($time = 1; $time <= 2; ++$time) {
            $this->post('/take-in/list', ['list' => $table, 'do' => 'take'], '0190f1a2-7c3d-7abc-8def-0123456789ab');
            self::assertResponseRedirects('/?sort=newest');
        }
        $jobs = self::service(JobRepository::class)->findBy([], ['id' => 'ASC']);
        self::assertSame(['Heron, red', 'Spray'], array_map(static fn ($job): string => $job->getMachine()->getLabel(), $jobs));
        self::assertSame('said "fine"', $jobs[0]->getRemarks());
        self::assertEqualsWithDelta(33.0, $this->record($jobs[0])->case()->standing('claim.idle_months')?->number, 0.01);
    }

    public function testATableWithoutItsColumnsSaysWhichTheyAre(): void
    {
        $this->signIn();
        $this->post('/take-in/list', ['list' => "what,whose\nmower,me\n", 'do' => 'take']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.problems', 'The first line names the columns: kind, name, customer');
    }
}
