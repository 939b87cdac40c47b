<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Money;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedState;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Money\Estimate;
use AwakeShed\App\Money\JobMoney;
use AwakeShed\App\Money\JobMonies;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Tests\App\ShedTestCase;

/** Whether it is worth it, what the owner was told and said, and what it comes to. */
final class MoneyTest extends ShedTestCase
{
    public function testTheRangeStandsAgainstWhatMayBeSpentAndGetsNarrower(): void
    {
        $this->signIn();
        $job = $this->job();
        $at = '/jobs/'.$job->getId().'/money';
        $page = $this->browser->request('GET', $at);
        self::assertSelectorExists('[data-worth="no_limit"]');
        $this->browser->submit($page->selectButton('Save')->form(['cap' => '80', 'worth' => '$250']));
        self::assertResponseRedirects($at);
        self::assertSame([80.0, 250.0], [$this->again($job)->getCap(), $this->again($job)->getWorth()]);
        $this->browser->request('GET', $at);
        $this->assertSays('$80 may be spent');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('The customer will spend up to, $: 80');
    }

    public function testWhatIsNoSumIsSaidAndComesBack(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/money');
        $this->browser->submit($page->selectButton('Save')->form(['cap' => 'as little as can be', 'worth' => '']));
        self::assertResponseStatusCodeSame(422);
        self::assertInputValueSame('cap', 'as little as can be');
        self::assertNull($this->again($job)->getCap());
        $this->post('/jobs/'.$job->getId().'/money/limits', ['cap' => '0', 'worth' => '']);
        self::assertSame(0.0, $this->again($job)->getCap(), 'nothing may be spent');
    }

    public function testAnEstimateWaitsForItsAnswerAndWhatGoesPastItAsksAgain(): void
    {
        $this->signIn();
        $job = $this->job();
        $at = '/jobs/'.$job->getId();
        $page = $this->browser->request('GET', $at.'/money');
        $this->browser->submit($page->selectButton('Write it down')->form(['least' => '40', 'most' => '60', 'text' => 'Bowl and jet']));
        self::assertResponseRedirects();
        $job = $this->again($job);
        self::assertSame([Progress::Waits, WaitsOn::Owner], [$job->getStand(), $job->getWaitsOn()]);
        $page = $this->browser->request('GET', $at.'/money');
        $this->browser->submit($page->selectButton('No further than')->form(['said_by' => 'Cabin 4, by telephone', 'cap' => '50']));
        self::assertResponseRedirects();
        self::assertNull($this->again($job)->getWaitsOn(), 'the work goes on');
        self::assertSame(50.0, $this->money($job)->upTo());
        self::assertFalse($this->money($job)->isPast());
        $this->post($at.'/money/lines', ['kind' => 'part', 'text' => 'Carburetor', 'quantity' => '1', 'each' => '45.50']);
        $this->post($at.'/money/lines', ['kind' => 'labor', 'text' => '', 'quantity' => '0,5', 'each' => '']);
        self::assertEqualsWithDelta(75.5, $this->money($job)->bill->total->inDollars(), 0.001, 'half an hour at sixty by the clock replaces what is reckoned');
        $this->browser->request('GET', $at.'/money');
        self::assertSelectorTextContains('[data-past]', '$75.50');
        $this->browser->request('GET', $at.'/hand-back');
        self::assertSelectorTextContains('[data-doubts]', 'agreed to');
        $this->post($at.'/hand-back', ['reason' => '']);
        self::assertResponseStatusCodeSame(422);
    }

    public function testAnEstimateIsARangeOfSumsThatAreThere(): void
    {
        $estimate = fn (float $least, float $most): Estimate => new Estimate($this->job(), $least, $most, 'x', $this->member(Role::Technician), new \DateTimeImmutable());
        foreach ([[0.0, 0.0], [0.0, 100_000.0], [100_000.0, 100_000.0]] as [$least, $most]) {
            self::assertSame([$least, $most], [$estimate($least, $most)->getLeast(), $estimate($least, $most)->getMost()]);
        }
        foreach ([[-0.01, 5.0], [5.0, 4.99], [0.0, 100_000.01]] as [$least, $most]) {
            try {
                $estimate($least, $most);
                self::fail("$least to $most");
            } catch (ImpossibleAmount $refusal) {
                self::assertStringContainsString('$', $refusal->getMessage());
            }
        }
    }

    public function testACapThatIsNoneAnswersNothing(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/estimates', ['least' => '40', 'most' => '60', 'text' => '']);
        $estimate = $this->money($job)->last() ?? self::fail('None was made.');
        $this->post('/estimates/'.$estimate->getId().'/answer', ['word' => 'capped', 'cap' => '', 'said_by' => 'x']);
        self::assertResponseStatusCodeSame(422);
        self::assertNull($this->money($job)->last()?->getWord());
        $this->post('/estimates/'.$estimate->getId().'/answer', ['word' => 'declined', 'said_by' => 'x']);
        self::assertSame(0.0, $this->money($job)->upTo());
        $this->post('/jobs/'.$job->getId().'/estimates', ['least' => '60', 'most' => '40']);
        self::assertResponseStatusCodeSame(422);
    }

    public function testALineIsTakenOffByWhoPutItOnAndAPartThatCameWithoutAPriceIsSaid(): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'));
        self::entities()->persist($part = new WantedPart($this->again($job), 'Bowl gasket', 1, $this->member(Role::Technician), new \DateTimeImmutable()));
        $part->becomes(WantedState::Here, new \DateTimeImmutable());
        self::entities()->flush();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/money');
        $this->assertSays('Here, and without a price: Bowl gasket');
        $this->browser->submit($page->selectButton('Put it on')->form(['each' => '3.50']));
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertSame([], $this->money($job)->unpriced);
        $charge = $this->money($job)->charges[0];
        $this->post('/charges/'.$charge->getId().'/take-back', []);
        self::assertSame([], $this->money($job)->charges);
    }

    public function testWhatTheClockSaysOfEarlierJobsMovesWhatIsReckoned(): void
    {
        $this->signIn();
        $first = $this->job();
        $this->found($first, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('look.air_filter', 'clean'));
        self::assertGreaterThan(0.0, $this->again($first)->getWorkMinutes());
        $this->post('/jobs/'.$first->getId().'/money/lines', ['kind' => 'labor', 'text' => '', 'quantity' => '2', 'each' => '']);
        self::assertSame(1.0, self::service(JobMonies::class)->pace()->factor, 'it is not done yet');
        $first = $this->again($first);
        $first->handBack(new \DateTimeImmutable());
        self::entities()->flush();
        $pace = self::service(JobMonies::class)->pace();
        self::assertSame(1, $pace->jobs);
        self::assertGreaterThan(1.1, $pace->factor);
        $this->browser->request('GET', '/jobs/'.$this->job()->getId().'/money');
        $this->assertSays('learned from the clock on one job.');
    }

    public function testThePriceBookIsTheOwnersAndKeepsWhatIsRight(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/prices');
        self::assertResponseStatusCodeSame(403);
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/prices');
        $this->browser->submit($page->selectButton('Save')->form(['wage' => 'much']));
        self::assertResponseStatusCodeSame(422);
        self::assertInputValueSame('wage', 'much');
        $this->browser->submit($this->browser->getCrawler()->selectButton('Save')->form(['wage' => '72', 'tax_percent' => '7.5', 'labor_taxed' => 'on']));
        self::assertResponseRedirects('/prices');
        $prices = ['wage' => '99999', 'base_hours' => '1', 'consumables' => '6', 'waste_fee' => '4', 'tax_percent' => '-2'];
        $page = $this->post('/prices', $prices);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('0 to 1000 $', $page->filter('[data-error]')->text());
        self::assertStringContainsString('0 to 50 %', $page->filter('[data-error]')->text());
        self::assertSame('99999', $page->filter('[name=wage]')->attr('value'), 'what was typed is not lost');
        self::assertSame(72.0, self::service(JobMonies::class)->wage());
    }

    private function money(Job $job): JobMoney
    {
        return self::service(JobMonies::class)->of($this->record($this->again($job)));
    }
}
