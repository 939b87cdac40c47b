<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Trace;

use AwakeShed\App\Device\Gauge\Scenario;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Simulation\EngineSound;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** The phone as a tachometer, from a recording to the record. */
final class ListenTest extends ShedTestCase
{
    /** @return iterable<string, array{string, string}> what the stand-in plays; the verdict of its trace */
    public static function heard(): iterable
    {
        yield 'steady' => ['steady', 'steady'];
        yield 'surging' => ['surge', 'hunts'];
    }

    #[DataProvider('heard')]
    public function testTheStandInIsHeardAndJudged(string $play, string $verdict): void
    {
        $this->signIn();
        $this->post('/traces/listen', ['firing' => 'four_stroke_single', 'play' => $play]);
        self::assertResponseRedirects();
        $page = $this->browser->followRedirect();
        self::assertSelectorExists("[data-verdict=\"$verdict\"]");
        self::assertEqualsWithDelta(3150, (float) $page->filter('[data-figure="mean_rpm"]')->attr('data-plain'), 32);
    }

    public function testOfAJobItIsFiledUntilTheGatesForbidIt(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->upload('/jobs/'.$job->getId().'/traces/listen', Scenario::Surge->sound());
        $page = $this->browser->followRedirect();
        $this->press($page, 'Put it into the record');
        $entries = $this->record($this->again($job))->entries;
        $event = $entries[\count($entries) - 1]->events()[0] ?? self::fail();
        self::assertInstanceOf(Finding::class, $event);
        self::assertSame(['run.steady', ['surges_no_load']], [$event->test, $event->outcomes]);
        $closed = $this->job();
        $this->browser->request('GET', '/jobs/'.$closed->getId().'/traces/listen');
        self::assertSelectorExists('[data-closed]');
        self::assertSelectorNotExists('[data-listen]');
    }

    public function testWhereTwoReadingsFitATapChooses(): void
    {
        $this->signIn();
        $sound = EngineSound::engine(11_025, 5, static fn (): float => 30.0, 5)->noise(6)->wav(16);
        $page = $this->upload('/traces/listen', $sound, ['firing' => 'four_stroke_twin']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorExists('[data-verdict="two_readings"]');
        self::assertSelectorTextContains('[data-verdict]', '1,8');
        $this->browser->submit($page->filter('[data-reading]')->last()->form());
        $page = $this->browser->followRedirect();
        self::assertEqualsWithDelta(3600, (float) $page->filter('[data-figure="mean_rpm"]')->attr('data-plain'), 36);
        // With a hint there is nothing to ask.
        $this->upload('/traces/listen', $sound, ['firing' => 'four_stroke_twin', 'near' => '3,400']);
        self::assertResponseRedirects();
    }

    public function testWhatIsNoRecordingIsRefusedInWords(): void
    {
        $this->signIn();
        foreach (['' => 'That is no WAV recording', "\x89PNG and more of it" => 'That is no WAV recording'] as $bytes => $said) {
            $this->upload('/traces/listen', $bytes, ['near' => '3400']);
            self::assertResponseStatusCodeSame(422);
            $this->assertSays($said);
            self::assertSelectorExists('#near[value="3400"]');
        }
        $this->upload('/traces/listen', Scenario::Steady->sound(), ['near' => 'fast']);
        $this->assertSays('“fast” is not a number');
        $this->upload('/traces/listen', EngineSound::engine(8000, 3, static fn (): float => 30.0, 5)->noise(-40)->wav(16));
        self::assertSelectorExists('[data-verdict="nothing_heard"]');
    }

    /** @param array<string, string> $more */
    private function upload(string $address, string $bytes, array $more = []): \Symfony\Component\DomCrawler\Crawler
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'sound');
        file_put_contents($path, $bytes);

        return $this->browser->request('POST', $address, ['_token' => $this->token(), 'request_key' => \AwakeShed\App\Once\RequestKey::fresh()->value] + $more, ['file' => new UploadedFile($path, 'engine.wav', 'audio/wav', test: true)]);
    }
}
