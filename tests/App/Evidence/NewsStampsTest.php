<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Evidence;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\NewsStamps;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Tests\App\ShedTestCase;

final class NewsStampsTest extends ShedTestCase
{
    public function testWhoeverWritesOnAJobStampsItAndNoOther(): void
    {
        $stamps = self::service(NewsStamps::class);
        [$job, $other] = [$this->job(), $this->job()];
        $file = self::getContainer()->getParameter('shed.run_dir');
        self::assertIsString($file);
        [$stamp, $others] = [$file.$stamps->address($job), $file.$stamps->address($other)];
        foreach ([$stamp, $others] as $old) {
            if (is_file($old)) {
                unlink($old);
            }
        }
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'));
        self::assertFileExists($stamp);
        self::assertFileDoesNotExist($others);
        $said = (string) file_get_contents($stamp);
        self::assertSame(self::entities()->getConnection()->fetchOne('SELECT MAX(id) FROM entry WHERE job_id = ?', [$job->getId()]), (int) $said);
        // The same entry stamped again says another word, so that whoever looks asks once more rather than once too few.
        $stamps->stamp($job, (int) $said);
        self::assertNotSame($said, file_get_contents($stamp));
        unlink($stamp);
    }

    public function testItsAddressTellsNothingAndStandsOnThePagesOfTheJob(): void
    {
        $this->signIn();
        $stamps = self::service(NewsStamps::class);
        [$job, $other] = [$this->job(), $this->job()];
        self::assertMatchesRegularExpression('#\A/news/[0-9a-f]{32}\z#', $stamps->address($job));
        self::assertNotSame($stamps->address($job), $stamps->address($other));
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId());
        self::assertSame($stamps->address($job), $page->filter('#news')->attr('data-stamp'));
        self::assertStringNotContainsString($stamps->address($other), (string) $this->browser->getResponse()->getContent());
    }

    /** The first finding of all is news as well. */
    public function testAJobOfWhichNothingIsWrittenYetIsLookedAtToo(): void
    {
        $this->signIn();
        $job = $this->job();
        self::assertSame('0', $this->browser->request('GET', '/jobs/'.$job->getId())->filter('#news')->attr('data-since'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/news/0');
        self::assertResponseStatusCodeSame(204);
        self::service(Recorder::class)->observe($this->again($job), $this->member(Role::Apprentice), RequestKey::fresh(), [Finding::observed('look.oil_level', 'at_mark')]);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/news/0');
        self::assertSelectorTextContains('#news', 'At the mark');
    }
}
