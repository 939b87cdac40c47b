<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Evidence;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\ClosedTest;
use AwakeShed\App\Evidence\Content\Observed;
use AwakeShed\App\Evidence\Entry;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Evidence\RecordReader;
use AwakeShed\App\Evidence\StaleEntry;
use AwakeShed\App\Job\ClosedJob;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\UnknownWord;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Tests\App\ShedTestCase;

final class RecorderTest extends ShedTestCase
{
    /** However long it is, a record is read in its order by its own index: nothing is put aside and sorted. */
    public function testARecordIsReadWithoutSortingIt(): void
    {
        $job = $this->job();
        foreach (range(1, 40) as $_) {
            $this->found($job, Finding::observed('look.oil_smell', 'gas'));
        }
        $steps = self::entities()->getConnection()->fetchAllAssociative('EXPLAIN '.RecordReader::ROWS, [$job->getId()]);
        self::assertSame(['entry', 'member'], array_column($steps, 'table'));
        self::assertSame(['entry_of_job', 'PRIMARY'], array_column($steps, 'key'));
        foreach ($steps as $step) {
            self::assertIsString($step['Extra']);
            self::assertDoesNotMatchRegularExpression('/filesort|temporary/', $step['Extra']);
        }
    }

    public function testRecordsAndWorksOutWhereTheJobStands(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'far_over'));
        self::assertSame([Progress::Stopped, 'hold.gas_in_oil'], [$this->again($job)->getStand(), $this->again($job)->getWaitsFor()]);
    }

    public function testTheSameKeyRecordsOnce(): void
    {
        $job = $this->job();
        $key = RequestKey::fresh();
        for ($tap = 0; $tap < 3; ++$tap) {
            self::service(Recorder::class)->observe($job, $this->member(Role::Technician), $key, [Finding::observed('look.oil_smell', 'gas')]);
        }
        self::assertCount(1, $this->record($job)->entries);
    }

    public function testAClosedTestIsNotRecordedAndItsKeyMayBeUsedAgain(): void
    {
        $job = $this->job();
        $recorder = self::service(Recorder::class);
        $key = RequestKey::fresh();
        try {
            $recorder->observe($job, $this->member(Role::Technician), $key, [Finding::observed('feel.pull', 'normal')]);
            self::fail('It was recorded.');
        } catch (ClosedTest $closed) {
            self::assertSame('look.oil_level', $closed->blockers[0]->until);
        }
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'));
        $recorder->observe($job, $this->member(Role::Technician), $key, [Finding::observed('feel.pull', 'normal')]);
        self::assertSame(['normal'], $this->record($job)->case()->standing('feel.pull')?->outcomes);
    }

    public function testUndoingARecordACorrectionAndAnUndoEachRestoresWhatWasBefore(): void
    {
        $job = $this->job();
        $member = $this->member(Role::Technician);
        $recorder = self::service(Recorder::class);
        $stands = fn (): ?array => $this->record($job)->case()->standing('look.oil_colour')?->outcomes;
        $last = fn (): Entry => array_reverse($this->record($job)->entries)[0];

        $this->found($job, Finding::observed('look.oil_colour', 'milky'));
        $milky = $last();
        $recorder->correct($milky, $member, RequestKey::fresh(), new Observed([Finding::observed('look.oil_colour', 'dark')]));
        $correction = $last();
        self::assertSame(['dark'], $stands());
        $recorder->withdraw($correction, $member, RequestKey::fresh());
        self::assertSame(['milky'], $stands());
        $recorder->withdraw($last(), $member, RequestKey::fresh());
        self::assertSame(['dark'], $stands());
        $recorder->withdraw($correction, $member, RequestKey::fresh());
        $recorder->withdraw($milky, $member, RequestKey::fresh());
        self::assertNull($stands());
        self::assertCount(6, $this->record($job)->entries);
    }

    public function testACorrectionOfAMistapReleasesWhatTheMistapHeld(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_smell', 'gas'));
        $entry = $this->record($job)->standingEntry('look.oil_smell') ?? self::fail();
        self::service(Recorder::class)->correct($entry, $this->member(Role::Technician), RequestKey::fresh(), new Observed([Finding::observed('look.oil_smell', 'none')]));
        self::assertSame(Progress::AtGates, $this->again($job)->getStand());
    }

    public function testACorrectionSpeaksTheVocabulary(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_smell', 'gas'));
        $entry = $this->record($job)->standingEntry('look.oil_smell') ?? self::fail();
        $this->expectException(UnknownWord::class);
        self::service(Recorder::class)->correct($entry, $this->member(Role::Technician), RequestKey::fresh(), new Observed([Finding::observed('look.oil_smell', 'roses')]));
    }

    public function testAStruckEntryCannotBeChangedTwice(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_colour', 'dark'));
        $entry = $this->record($job)->entries[0];
        $recorder = self::service(Recorder::class);
        $recorder->withdraw($entry, $this->member(Role::Technician), RequestKey::fresh());
        $this->expectException(StaleEntry::class);
        $recorder->withdraw($entry, $this->member(Role::Technician), RequestKey::fresh());
    }

    public function testAMachineThatWentHomeIsReadNotWritten(): void
    {
        $job = $this->job();
        $job->handBack(new \DateTimeImmutable());
        self::entities()->flush();
        $this->expectException(ClosedJob::class);
        $this->found($job, Finding::observed('look.oil_colour', 'dark'));
    }

    public function testAWordThatIsNoneOfOursIsRefused(): void
    {
        $this->expectException(UnknownWord::class);
        $this->found($this->job(), Finding::observed('look.oil_colour', 'plaid'));
    }
}
