<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Sheet;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Device\Mail\Outbox;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Sheet\SentSheet;
use AwakeShed\App\Sheet\SentSheetRepository;
use AwakeShed\App\Sheet\SheetCopy;
use AwakeShed\App\Sheet\SheetKind;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Tests\App\ShedTestCase;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\NeedsProgram;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Process\Process;

/** What goes home with a machine on paper: derived until it is sent, kept as it was sent. */
final class SheetTest extends ShedTestCase
{
    use ClockSensitiveTrait;
    use NeedsProgram;

    public function testItSaysWhatWasToldFoundDoneAndWhatToWatch(): void
    {
        $this->signIn();
        $job = $this->worked();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/sheet');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('[data-section="said"]', '26 months');
        self::assertSelectorTextContains('[data-section="found"]', 'Of gas');
        self::assertSelectorTextContains('[data-section="done"]', 'Crankcase drained');
        self::assertSelectorTextContains('[data-section="renewed"]', 'Needle and seat renewed');
        self::assertSelectorTextContains('[data-section="watch"]', 'Close the shutoff');
        self::assertSelectorTextContains('[data-section="smoke"]', '15 minutes');
        self::assertSelectorTextContains('[data-section="not_proved"]', 'Run under load');
        $this->assertSays('9 pulls');
        self::assertSelectorExists('.owners-sheet svg.line-drawing');
    }

    public function testThePdfOpensItsTextIsText(): void
    {
        $this->signIn();
        $job = $this->worked();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/papers/done.pdf');
        self::assertResponseHeaderSame('Content-Type', 'application/pdf');
        $pdf = (string) $this->browser->getResponse()->getContent();
        self::assertLessThan(700 * 1024, \strlen($pdf));
        self::assertStringContainsString('/Lang', $pdf);
        self::needs('qpdf', 'qpdf');
        self::needs('pdftotext', 'poppler-utils');
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($path, $pdf);
        (new Process(['qpdf', '--check', $path]))->mustRun();
        $text = (string) preg_replace('/\s+/', ' ', (new Process(['pdftotext', '-layout', $path, '-']))->mustRun()->getOutput());
        unlink($path);
        foreach (['Heronbill test mower: what was done', 'Needle and seat renewed', 'Close the shutoff', 'carbon monoxide kills', 'In all'] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertStringNotContainsString('TCPDF', $text);
    }

    /** Where words, lines and pictures stand on each page; what the words are, other tests say. */
    public function testWhereThingsStandOnThePapers(): void
    {
        self::mockTime(new \DateTimeImmutable('2026-06-09 09:00:00 UTC'));
        $this->signIn();
        $job = $this->worked();
        foreach ([[400, 300, 'The bowl, as it came off'], [300, 400, ''], [1900, 500, 'A caption that is so long that it has to be broken under a picture of its width'], [64, 64, 'Small']] as [$width, $height, $caption]) {
            $this->browser->request('POST', '/jobs/'.$job->getId().'/photos', ['_token' => $this->token()], ['photos' => [new UploadedFile(self::picture($width, $height), 'mower.jpg', 'image/jpeg', null, true)]]);
            $photos = self::service(PhotoRepository::class)->ofJob($this->again($job));
            $this->post('/photos/'.$photos[\count($photos) - 1]->getId().'/caption', ['caption' => $caption]);
            self::assertResponseRedirects();
        }
        $lines = [];
        foreach (SheetKind::cases() as $kind) {
            $this->browser->request('GET', '/jobs/'.$job->getId()."/papers/$kind->value.pdf");
            self::assertResponseIsSuccessful($kind->value);
            $pdf = (string) $this->browser->getResponse()->getContent();
            // By the length that is said of it: what is packed may end in what looks like the end of a line.
            preg_match_all('/\/Length (\d+)[^>]*>>\s*stream\r?\n/', $pdf, $streams, \PREG_SET_ORDER | \PREG_OFFSET_CAPTURE);
            foreach ($streams as [[$head, $at], [$length]]) {
                $page = (string) @gzuncompress(substr($pdf, $at + \strlen($head), (int) $length));
                if (str_contains($page, ' Td ')) {
                    $drawn = (string) preg_replace('/\[?\((?:\\\\.|[^)])*\)\]? T[jJ]/s', 'words', $page);
                    $lines[] = "$kind->value: ".substr_count($drawn, 'words').' words, '.substr_count($drawn, ' l').' lines, '.substr_count($drawn, ' re').' boxes, '.substr_count($drawn, ' Do').' pictures, '.hash('xxh64', $drawn);
                }
            }
        }
        Kept::is(\dirname(__DIR__).'/Kept/papers.txt', $lines);
    }

    public function testALinkOpensThatSheetAsItWasUntilItEndsOrIsWithdrawn(): void
    {
        $this->signIn();
        $job = $this->worked();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/sheet');
        $form = $page->selectButton('Make a link, good for 30 days')->form(['kind' => 'done']);
        $this->browser->submit($form);
        $link = $this->browser->followRedirect()->filter('[data-link] a')->attr('href') ?? '';
        self::assertMatchesRegularExpression('#/s/[A-Za-z0-9_-]{43}$#', $link);
        $sent = $this->sent($job);
        $kept = self::service(SentSheetRepository::class)->copyOf($sent)->bytes();
        self::assertSame($sent->getSha256(), hash('sha256', $kept));
        // What is found after it went out is not on it.
        $this->found($this->again($job), Finding::observed('run.load', 'sags'));
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', $link);
        self::assertResponseIsSuccessful();
        self::assertSame($kept, $this->browser->getResponse()->getContent());
        self::assertResponseHeaderSame('Referrer-Policy', 'no-referrer');
        $this->browser->request('GET', substr($link, 0, -3).'xyz');
        self::assertResponseStatusCodeSame(410);
        $this->signIn();
        $this->post('/sheets/'.$sent->getId().'/withdraw', []);
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', $link);
        self::assertResponseStatusCodeSame(410);
        $this->assertSays('This link has ended');
    }

    public function testALinkThatIsPastItsDayOpensNothing(): void
    {
        $job = $this->job();
        $sheet = new SentSheet($job, SheetKind::Done, SheetCopy::digest('x'), $this->member(Role::Technician), new \DateTimeImmutable('-40 days'), '');
        $token = $sheet->openUntil(new \DateTimeImmutable('-10 days'));
        self::entities()->persist(new SheetCopy('x'));
        self::entities()->persist($sheet);
        self::entities()->flush();
        $this->browser->request('GET', '/s/'.$token);
        self::assertResponseStatusCodeSame(410);
    }

    public function testALetterGoesToTheStandInAndSentTwiceGoesOnce(): void
    {
        $this->signIn();
        $job = $this->worked();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/sheet');
        $this->browser->submit($page->selectButton('Send a letter')->form(['to' => 'nobody at all']));
        self::assertResponseStatusCodeSame(422);
        self::assertInputValueSame('to', 'nobody at all');
        $before = \count(self::service(Outbox::class)->letters());
        $fields = ['kind' => 'starting_card', 'to' => 'cabin4@lake.example', 'how' => 'letter'];
        $key = \AwakeShed\App\Once\RequestKey::fresh()->value;
        $this->post('/jobs/'.$job->getId().'/sheet/send', $fields, $key);
        $this->post('/jobs/'.$job->getId().'/sheet/send', $fields, $key);
        $letters = self::service(Outbox::class)->letters();
        self::assertCount($before + 1, $letters);
        self::assertSame(['cabin4@lake.example', 'Starting it: Heronbill test mower'], [$letters[0]['to'], $letters[0]['subject']]);
        self::assertTrue($this->sent($job)->isTaken());
        $this->signIn(Role::Owner);
        $this->browser->request('GET', '/letters');
        $this->assertSays('Starting it: Heronbill test mower');
        $this->browser->request('GET', '/letters/'.$letters[0]['name'].'.eml');
        self::assertStringContainsString('sheet.pdf', (string) $this->browser->getResponse()->getContent());
        unlink(self::service(Outbox::class)->folder().'/'.$letters[0]['name'].'.eml');
    }

    public function testALetterThatNoServerTakesIsKeptAndSaidToBeSentAgain(): void
    {
        $_ENV['SHED_MAIL'] = 'smtp://127.0.0.1:1';
        try {
            $this->signIn();
            $job = $this->worked();
            $this->post('/jobs/'.$job->getId().'/sheet/send', ['kind' => 'done', 'to' => 'cabin4@lake.example', 'how' => 'letter']);
            self::assertResponseRedirects();
        } finally {
            unset($_ENV['SHED_MAIL']);
        }
        self::assertFalse($this->sent($job)->isTaken());
        $this->browser->request('GET', '/jobs/'.$job->getId().'/sheet');
        $this->assertSays('not taken by the mail server: send it again');
    }

    public function testTheStartingCardIsOfTheLastStartThatWentWell(): void
    {
        $this->signIn();
        $job = $this->worked();
        $this->post('/machines/'.$job->getMachine()->getId().'/notes', ['topic' => 'starting', 'text' => 'Red switch under the tank, left']);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/papers/starting_card');
        self::assertSelectorTextContains('[data-section="own"]', 'Red switch under the tank');
        $this->assertSays('Press the primer 3 times');
        $this->assertSays('it caught after 1');
        $this->assertSays('Choke: Full');
    }

    private function worked(): Job
    {
        $vocabulary = self::service(Vocabulary::class);
        $job = $this->job();
        $this->found($job, Finding::number('claim.idle_months', 26), Finding::observed('look.oil_level', 'far_over'), Finding::observed('look.oil_smell', 'gas'), new Done($vocabulary->act('crankcase.drained'), ['ml' => 900]), new Done($vocabulary->act('crankcase.filled'), ['ml' => 550]));
        $this->found($this->again($job), Finding::observed('look.oil_level', 'at_mark'), Finding::observed('look.oil_smell', 'none'), Finding::observed('look.oil_body', 'normal'), Finding::observed('look.air_filter', 'clean'), Finding::observed('look.blade', 'true'), Finding::observed('look.controls', 'free'), Finding::observed('prep.cylinder_oiled', 'done'), Finding::observed('feel.pull', 'normal'), new Done($vocabulary->act('needle_and_seat.renewed'), []));
        $this->found($this->again($job), (new Attempt(['pulls' => 9.0], null, 'fires_dies'))->finding(), (new Attempt(['pulls' => 1.0, 'primes' => 3.0], \AwakeShed\Core\Proving\ChokeStep::Full))->finding());

        return $this->again($job);
    }

    private function sent(Job $job): SentSheet
    {
        return self::service(SentSheetRepository::class)->ofJob($this->again($job))[0] ?? self::fail('Nothing went out.');
    }
}
