<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Diagnosis;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Diagnosis\Lexicon;
use AwakeShed\App\Evidence\Entry;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Line\Line;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** Rooms of the line, tests, faults, the course of belief and the shorthand. */
final class DiagnosisPagesTest extends ShedTestCase
{
    public function testEveryTestOfTheVocabularyIsATapAwayInSomeRoom(): void
    {
        $this->signIn();
        $job = $this->job(MachineKind::PressureWasher);
        $offered = [];
        foreach (array_keys(Line::shipped(FaultModel::shipped(...))->rooms) as $room) {
            $page = $this->browser->request('GET', \sprintf('/jobs/%d/line/%s', $job->getId(), $room));
            self::assertResponseIsSuccessful($room);
            $offered = [...$offered, ...$page->filter('.look')->each(static fn ($look): string => substr((string) $look->attr('id'), 5))];
        }
        $vocabulary = Vocabulary::shipped();
        $has = array_filter(array_keys($vocabulary->tests), static fn (string $test): bool => $vocabulary->applies($test, new MachineFacts(MachineKind::PressureWasher)));
        self::assertEqualsCanonicalizing(array_map(static fn (string $test): string => str_replace('.', '-', $test), array_values($has)), $offered);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/line/moon');
        self::assertResponseStatusCodeSame(404);
    }

    public function testATapInARoomMovesTheLineAndTheRankingThere(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/line/needle');
        $this->browser->submit($page->filter('#test-needle-pressure')->selectButton('Leaks')->form());
        self::assertResponseRedirects('/jobs/'.$job->getId().'/line/needle');
        $page = $this->browser->followRedirect();
        self::assertSelectorExists('.rail .tone-bad [data-station="needle"]');
        self::assertSame('carb.needle_leaks', $page->filter('.suspects li')->first()->attr('data-fault'));
        self::assertSelectorTextContains('.saved', 'Leaks');
    }

    public function testANumberIsRecordedInItsRoomAndABadOneIsRefusedInWords(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/line/tank');
        $form = $page->filter('#test-jar-ethanol_percent')->selectButton('Save')->form(['outcome' => '9.5']);
        $this->browser->submit($form);
        self::assertResponseRedirects();
        self::assertSame(9.5, $this->record($job)->case()->standing('jar.ethanol_percent')?->number);
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'jar.ethanol_percent', 'outcome' => 'lots']);
        self::assertResponseStatusCodeSame(422);
    }

    public function testATestSaysHowWithWhatAndWhatEachOutcomeWouldChange(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/needle.pressure');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('.card .how', 'Lay ready: hand pump with gauge');
        self::assertSelectorTextContains('tbody tr:nth-child(2)', 'Inlet needle or seat leaks 3 →');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/start.plain');
        self::assertSelectorTextContains('.is-shut', 'First: Oil level.');
        self::assertSelectorNotExists('.card .chip[name="outcome"]', 'nothing to tap past a gate');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/pump.state');
        $this->assertSays('This machine has nothing of the kind.');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/tests/look.moon');
        self::assertResponseStatusCodeSame(404);
    }

    public function testARoomSaysHowItsElementIsAndWhy(): void
    {
        $this->signIn();
        $job = $this->job();
        $vocabulary = self::service(Vocabulary::class);
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('needle.pressure', 'leaks'), new Done($vocabulary->act('covers.off')));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/line/needle');
        self::assertSelectorTextContains('[data-known]', 'Bad: needle and seat under pressure, leaks.');
        // What was made of a thing that sits on no element is said at the machine around the line, and in its rail.
        $this->browser->request('GET', '/jobs/'.$job->getId().'/line/machine');
        self::assertSelectorTextContains('[data-known] [data-made]', 'off');
        self::assertSelectorTextContains('[data-station="machine"] .known', 'off');
        self::assertSelectorTextContains('[data-station="needle"] .known', 'bad');
    }

    public function testEveryFaultIsKnown(): void
    {
        $words = self::service(Words::class);
        foreach (array_keys(Vocabulary::shipped()->faults) as $fault) {
            foreach (['what', 'looks', 'cure'] as $part) {
                self::assertStringNotContainsString($fault, $words->knows($part, $fault), "$part of $fault");
            }
        }
        $this->signIn(Role::Apprentice);
        $page = $this->browser->request('GET', '/faults');
        self::assertCount(\count(Vocabulary::shipped()->faults), $page->filter('.bench-list a'));
        $this->browser->click($page->selectLink($words->fault('timing.key_sheared'))->link());
        self::assertResponseIsSuccessful();
        $this->assertSays('Flywheel key: sheared in 96 of 100');
        $this->assertSays('30 to 60 min');
        // What proves it best, and no list of everything that has to do with it.
        self::assertCount(4, $this->browser->request('GET', '/faults/carb.pilot_blocked')->filter('dd .quiet')->reduce(static fn ($one): bool => str_contains($one->text(), 'of 100')));
    }

    public function testAFaultIsPutRightFromItsPageByATechnicianOnly(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('needle.pressure', 'leaks'));
        $this->signIn(Role::Apprentice);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/faults/carb.needle_leaks');
        self::assertResponseIsSuccessful();
        $this->assertSays('Seen: needle and seat under pressure, leaks. That is the fault itself.');
        self::assertSelectorNotExists('main form[action$="/put-right"]');
        $this->signIn();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/faults/carb.needle_leaks');
        $this->press($page, 'It is put right');
        $this->browser->followRedirect();
        self::assertTrue($this->record($job)->case()->wasPutRight('carb.needle_leaks'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/faults/history.tipped');
        self::assertSelectorNotExists('main form[action$="/put-right"]', 'nobody puts right what happened');
    }

    public function testTheCourseOfBeliefIsDrawnAndWritten(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/course');
        self::assertResponseIsSuccessful('also before anything is found');
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('spark.tester', 'none'), Finding::observed('spark.kill_wire_off', 'strong'), new PutRight('spark.kill_grounded'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/course');
        self::assertCount(5, $page->filter('tbody tr'), 'four steps and what was before');
        self::assertSelectorExists('svg.course-drawing[role="img"][aria-label*="Kill circuit grounded"]');
        self::assertStringContainsString('Put right: Kill circuit grounded', $page->filter('tbody tr')->last()->text());
    }

    public function testWhatIsSureIsNamedForItsCureAndAMachineIsProvedByItsRun(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('look.air_filter', 'clean'), Finding::observed('feel.pull', 'normal'), Finding::observed('needle.pressure', 'leaks'), Finding::observed('leak.static', 'overflow'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/likely');
        self::assertSelectorTextContains('[data-cure="carb.needle_leaks"]', 'New needle and seat');
        $this->assertSays('was ');
        self::assertSelectorNotExists('[data-proved]');
        $this->found($job, new PutRight('carb.needle_leaks'), Finding::observed('leak.static', 'none'), Finding::observed('needle.pressure', 'holds'), Finding::observed('start.plain', 'runs'), Finding::observed('run.steady', 'steady'), Finding::observed('run.choke_off', 'steady'), Finding::observed('run.load', 'holds'), Finding::observed('run.minutes_later', 'keeps_running'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/likely');
        self::assertSelectorExists('[data-proved]');
    }

    /** @return iterable<string, array{string, array<string, string|float>}> line, findings by test */
    public static function lines(): iterable
    {
        yield 'one' => ['pil bl', ['jet.pilot' => 'blocked']];
        yield 'several' => ['oil lev at; spark none; stood 26', ['look.oil_level' => 'at_mark', 'spark.tester' => 'none', 'claim.idle_months' => 26.0]];
        yield 'as completed' => ['look.plug gas_wet', ['look.plug' => 'gas_wet']];
    }

    /** @param array<string, string|float> $said */
    #[DataProvider('lines')]
    public function testFindingsAreRecordedInShort(string $line, array $said): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/likely');
        $this->browser->submit($page->filter('form.short')->form(['line' => $line]));
        self::assertResponseRedirects('/jobs/'.$job->getId().'/likely');
        $case = $this->record($job)->case();
        foreach ($said as $test => $outcome) {
            self::assertSame($outcome, $case->standing($test)->number ?? $case->standing($test)->outcomes[0] ?? null, $test);
        }
    }

    public function testWhatMayMeanTwoThingsIsAskedAndKept(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/likely');
        foreach (['jet bl' => 'may mean more than one thing', 'xyzzy' => 'begins nothing', '' => 'Nothing was typed.'] as $line => $said) {
            $this->browser->submit($page->filter('form.short')->form(['line' => $line]));
            self::assertResponseStatusCodeSame(422);
            $this->assertSays($said);
            self::assertSelectorExists(\sprintf('#short-line[value="%s"]', $line));
        }
        $this->browser->submit($page->filter('form.short')->form(['line' => 'pil bl; jet bl']));
        self::assertResponseStatusCodeSame(422);
        self::assertNull($this->record($job)->case()->standing('jet.pilot'), 'all of a line or nothing');
        $this->browser->submit($page->filter('form.short')->form(['line' => 'start.plain runs']));
        self::assertResponseStatusCodeSame(409, 'no shorthand goes past a gate');
    }

    public function testTypingIsCompleted(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/short?line=plug%20dry;%20nee%20le');
        self::assertSame('plug dry; needle.pressure leaks', $page->filter('button')->first()->attr('value'));
        // What is longer than anybody types is looked at no further.
        $this->browser->request('GET', '/jobs/'.$job->getId().'/short?line='.str_repeat('x', 299).';%20jet%20bl');
        self::assertSelectorNotExists('button[value*="blocked"]');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/short?line=qqq');
        $this->assertSays('Nothing begins so.');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/short');
        self::assertResponseIsSuccessful();
    }

    public function testEverythingThatCanBeSaidCanBeSaidInShort(): void
    {
        $shorthand = self::service(Lexicon::class)->forMachine(new MachineFacts(MachineKind::PressureWasher));
        $vocabulary = Vocabulary::shipped();
        foreach ($vocabulary->tests as $test) {
            if (!$vocabulary->applies($test->id, new MachineFacts(MachineKind::PressureWasher))) {
                continue;
            }
            foreach ($test->outcomes ?? ['12'] as $outcome) {
                $words = str_replace(['.', '_'], ' ', $test->id.' '.$outcome);
                $readings = array_map(static fn (Finding|Done $finding): string => $finding instanceof Done ? $finding->act->id : $finding->test.' '.($finding->number ?? $finding->outcomes[0]), $shorthand->readings($words));
                self::assertContains($test->id.' '.$outcome, $readings, $words);
                self::assertNotNull($shorthand->plain($test->id.' '.$outcome));
            }
        }
    }

    public function testWhatWasDoneIsSaidInShortToo(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/short', ['line' => 'crankcase.drained; crank fill; oil lev at']);
        self::assertResponseRedirects('/jobs/'.$job->getId().'/likely');
        $case = $this->record($this->again($job))->case();
        self::assertSame('filled', $case->state->stateOf('crankcase'));
        self::assertSame(['at_mark'], $case->standing('look.oil_level')?->outcomes);
    }

    public function testAJobThatWentHomeTakesNothingInShort(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/hand-back', ['reason' => 'The owner fetched it']);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/likely');
        self::assertSelectorNotExists('form.short');
        self::assertSame([], array_filter($this->record($job)->entries, static fn (Entry $entry): bool => [] !== $entry->events()));
    }
}
