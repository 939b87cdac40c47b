<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Diagnosis;

use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\App\ShedTestCase;

final class LikelyPageTest extends ShedTestCase
{
    public function testShowsTheLikelyFaultsWithTheirReasonsAndWhatToTestNext(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('claim.tipped', 'no'), Finding::observed('look.oil_level', 'at_mark'), Finding::observed('look.air_filter', 'oil_soaked'), Finding::observed('look.carb_outside', 'oil_running'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/likely');
        self::assertResponseIsSuccessful();
        self::assertSame('history.tipped', $page->filter('[data-beside] .suspects li')->first()->attr('data-fault'), 'what once happened keeps no engine from its work');
        self::assertSelectorTextContains('[data-beside] .suspects li:first-child', 'air filter, soaked in oil (');
        self::assertSelectorTextContains('[data-contradiction="claim.tipped"]', 'tipped or rolled, no');
        self::assertSelectorTextContains('[data-contradiction="claim.tipped"]', 'air filter: Soaked in oil');
        self::assertSelectorExists('[data-next]');
        self::assertSelectorNotExists('[data-next^="start."]', 'the air filter is soaked: nothing starts');
    }

    public function testATapRecordsAndTheRankingMoves(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('spark.tester', 'none'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/likely');
        $form = $page->filter('[data-next="spark.kill_wire_off"]')->selectButton('Strong')->form();
        $this->browser->submit($form);
        self::assertResponseRedirects('/jobs/'.$job->getId().'/likely');
        $page = $this->browser->followRedirect();
        self::assertSame('spark.kill_grounded', $page->filter('.suspects li')->first()->attr('data-fault'));
        $this->assertSays('Spark with the kill wire off: Strong');
    }

    public function testEveryTestHasAName(): void
    {
        $words = self::service(Words::class);
        foreach (array_keys(Vocabulary::shipped()->tests) as $test) {
            self::assertStringNotContainsString(':', $words->test($test), $test);
        }
    }
}
