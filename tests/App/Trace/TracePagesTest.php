<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Trace;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Device\Gauge\Gauge;
use AwakeShed\App\Device\Gauge\GaugeReading;
use AwakeShed\App\Device\Gauge\SilentGauge;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Once\Leases;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Trace\Recording;
use AwakeShed\App\Trace\Trace;
use AwakeShed\App\Trace\TraceLine;
use AwakeShed\App\Trace\TraceRepository;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Tests\App\ShedTestCase;
use AwakeShed\Tests\Core\Trace\Shapes;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class TracePagesTest extends ShedTestCase
{
    public function testAFileIsReadInDrawnAndJudged(): void
    {
        $this->signIn();
        $page = $this->import('/traces/needle', self::csv(Shapes::needle(20, decay: 0.6 / 60 / 6.4)));
        self::assertSelectorTextContains('.verdict h2', 'Marginal. It loses 0.5');
        self::assertSelectorCount(3, 'svg.trace-drawing [data-mark]');
        self::assertSame('1501', $page->filter('[data-figure="samples"]')->attr('data-plain'));
        self::assertCount(1, $this->traces());
        $id = $this->traces()[0]->id;
        $this->browser->request('GET', "/traces/$id.svg");
        self::assertResponseHeaderSame('Content-Type', 'image/svg+xml');
        self::assertNotFalse(simplexml_load_string((string) $this->browser->getResponse()->getContent()));
        $this->browser->request('GET', "/traces/$id.csv");
        self::assertSame(1501, SeriesFile::parse((string) $this->browser->getResponse()->getContent(), PressureUnit::cases())->series->count());
    }

    public function testABadFileIsRefusedWithItsLineAndKept(): void
    {
        $this->signIn();
        foreach (["t [s],p [psi]\n0,1\n1,high" => 'Line 3 is no time and value', 't,p' => 'must name two columns', '' => 'There is no sample in it', "t [s],p [rpm]\n0,1" => 'is not known here', "\xFF\xFE\x00" => 'must name two columns'] as $text => $said) {
            $page = $this->import('/traces/needle', $text);
            self::assertResponseStatusCodeSame(422);
            $this->assertSays($said);
            if (mb_check_encoding($text)) {
                self::assertStringContainsString(trim($text), $page->filter('#trace-text')->text(normalizeWhitespace: false));
            }
        }
        self::assertSame([], $this->traces());
    }

    public function testAFileOfALoggerIsTakenOrRefusedByWhatIsInIt(): void
    {
        $this->signIn();
        $send = function (string $bytes, int $error = \UPLOAD_ERR_OK): Crawler {
            $path = (string) tempnam(sys_get_temp_dir(), 'trace');
            file_put_contents($path, $bytes);

            return $this->browser->request('POST', '/traces/needle/import', ['_token' => $this->token(), 'request_key' => RequestKey::fresh()->value, 'csv' => 'none'], ['file' => new UploadedFile($path, 'bench 3.csv', 'text/csv', $error, true)]);
        };
        $send(self::csv(Shapes::needle(20, decay: 0.02)));
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        $this->assertSays('bench 3.csv');
        foreach ([[str_repeat("\n", 12_000_001), \UPLOAD_ERR_OK], ['t,p', \UPLOAD_ERR_INI_SIZE], ['t,p', \UPLOAD_ERR_PARTIAL]] as [$bytes, $error]) {
            $send($bytes, $error);
            self::assertResponseStatusCodeSame(422);
            $this->assertSays('samples in it. Record a shorter stretch');
        }
        self::assertCount(1, $this->traces());
    }

    public function testHertzOfTheOutletAreTurnedIntoRevolutions(): void
    {
        $this->signIn();
        $hertz = "t [s],f [Hz]\n".implode("\n", array_map(static fn (int $n): string => 0.1 * $n.',60', range(0, 200)));
        $page = $this->import('/traces/speed', $hertz, ['poles' => '4']);
        self::assertSame('1800', $page->filter('[data-figure="mean_rpm"]')->attr('data-plain') ?? '');
        foreach (['3' => 'poles, in pairs', 'two' => '“two” is not a number', '2.5' => 'is not a whole number'] as $poles => $said) {
            $this->import('/traces/speed', $hertz, ['poles' => (string) $poles]);
            self::assertResponseStatusCodeSame(422);
            $this->assertSays($said);
        }
    }

    public function testOfAJobItGoesIntoTheRecord(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->import('/jobs/'.$job->getId().'/traces/needle', self::csv(Shapes::needle(20, decay: 0.02)));
        $this->press($page, 'Put it into the record');
        self::assertResponseRedirects('/jobs/'.$job->getId());
        $event = $this->record($this->again($job))->entries[0]->events()[0] ?? self::fail();
        self::assertInstanceOf(Finding::class, $event);
        self::assertSame(['needle.pressure', ['leaks']], [$event->test, $event->outcomes]);
        self::assertEqualsWithDelta(7.6, $event->measured['pop_off_psi'] ?? 0, 0.2);
    }

    public function testWhatIsPlayedByAStandInIsNothingFoundWhereStandInsAreNotUsed(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->import('/jobs/'.$job->getId().'/traces/needle', self::csv(Shapes::needle(20, decay: 0.02)));
        $trace = $this->traces()[0]->id;
        self::service(TraceRepository::class)->markSimulated($trace);
        self::service(Shops::class)->current()?->useStandIns(false);
        self::entities()->flush();
        $this->browser->request('GET', '/traces/'.$trace);
        self::assertSelectorNotExists('.calc-save');
        $this->post('/traces/'.$trace.'/file', []);
        self::assertResponseRedirects('/traces/'.$trace);
        $this->browser->followRedirect();
        $this->assertSays('It is simulated, and is nothing found on this machine.');
        self::assertSame([], $this->record($this->again($job))->entries);
        self::service(Shops::class)->current()?->useStandIns(true);
        self::entities()->flush();
        $this->post('/traces/'.$trace.'/file', []);
        self::assertResponseRedirects('/jobs/'.$job->getId());
        self::assertCount(1, $this->record($this->again($job))->entries);
    }

    public function testAMowersBladeIsItsSpeedLimit(): void
    {
        $this->signIn();
        $job = $this->job();
        $job->getMachine()->describe('Bladed', new MachineFacts(MachineKind::Mower, bladeMm: 533.4), 'Cabin 4', '');
        self::entities()->flush();
        $fast = str_replace('[psi]', '[rpm]', "t [s],p [psi]\n").implode("\n", array_map(static fn (int $n): string => 0.1 * $n.',3700', range(0, 200)));
        $this->import('/jobs/'.$job->getId().'/traces/speed', $fast);
        self::assertSelectorTextContains('.verdict h2', 'Too fast: 3,700 rpm, its limit is 3,455 rpm');
        // The gates are not passed, so that it ran is no finding yet, and the page says so.
        self::assertSelectorTextContains('[data-closed]', 'Run, steady is closed for now');
        self::assertSelectorNotExists('.calc-save');
        $this->post('/traces/'.$this->traces(TraceKind::Speed)[0]->id.'/file', []);
        self::assertGreaterThanOrEqual(400, $this->browser->getResponse()->getStatusCode());
        self::assertSame([], $this->record($this->again($job))->entries);
    }

    public function testARecordingIsSavedAsItComesAndEndsWithTheGauge(): void
    {
        $this->signIn();
        $trace = $this->begun();
        $heard = 0;
        $this->recording(self::playing(Shapes::needle(20)))->run($trace->getId(), TraceKind::Needle, '', [], static function (array $times) use (&$heard): bool {
            $heard += \count($times);

            return true;
        });
        self::assertSame(1501, $heard);
        self::entities()->clear();
        $page = $this->browser->request('GET', '/traces/'.$trace->getId());
        self::assertSelectorTextContains('.verdict h2', 'Seals');
        self::assertSame('1501', $page->filter('[data-figure="samples"]')->attr('data-plain'));
    }

    public function testWhatWasHeardBeforeTheGaugeFellSilentIsKept(): void
    {
        $trace = $this->begun();
        $gauge = static function (): iterable {
            yield new GaugeReading(0.0, 1000.0);
            yield new GaugeReading(0.1, 2000.0);
            throw new SilentGauge('Unplugged.');
        };
        try {
            $this->recording($gauge)->run($trace->getId(), TraceKind::Needle, '', [], static fn (): bool => true);
            self::fail('Nobody said so.');
        } catch (SilentGauge) {
        }
        self::entities()->clear();
        $kept = self::service(TraceRepository::class)->find($trace->getId()) ?? self::fail();
        self::assertSame([1000.0, 2000.0], $kept->series()->values);
        self::assertFalse($kept->isRecording());
    }

    public function testGoesOnNoLongerThanItMay(): void
    {
        $trace = $this->begun();
        $endless = static function (): iterable {
            for ($n = 0; true; ++$n) {
                yield new GaugeReading(0.5 * $n, 1.0);
            }
        };
        $this->recording($endless)->run($trace->getId(), TraceKind::Needle, '', [], static fn (): bool => true);
        self::entities()->clear();
        self::assertEqualsWithDelta(180, (self::service(TraceRepository::class)->find($trace->getId()) ?? self::fail())->series()->duration(), 1);
    }

    public function testNothingIsAddedToARecordingThatWasEnded(): void
    {
        $this->signIn();
        $trace = $this->begun();
        $this->post('/traces/'.$trace->getId().'/stop', []);
        self::assertResponseRedirects();
        self::assertFalse(self::service(TraceRepository::class)->append($trace->getId(), [0.0], [1.0]));
        $this->browser->request('GET', '/traces/'.$trace->getId());
        self::assertSelectorTextContains('.verdict h2', 'Not enough to judge');
        $this->browser->request('GET', '/traces/'.$trace->getId().'/live');
        self::assertResponseStatusCodeSame(404);
    }

    public function testOnlyWhoBeganItRecordsIntoIt(): void
    {
        $trace = $this->begun();
        $this->signIn(Role::Apprentice);
        $this->browser->request('GET', '/traces/'.$trace->getId().'/live');
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('GET', '/traces/'.$trace->getId());
        self::assertResponseIsSuccessful();
    }

    public function testNoEngineIsRecordedPastItsGates(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/traces/speed');
        self::assertSelectorTextContains('[data-closed]', 'is closed for now');
        self::assertSelectorNotExists('form[action$="/record"]');
        $this->post('/jobs/'.$job->getId().'/traces/speed/record', ['play' => 'surge']);
        self::assertGreaterThanOrEqual(400, $this->browser->getResponse()->getStatusCode());
        self::assertSame([], $this->traces(TraceKind::Speed));
        // A needle on the bench turns nothing.
        $this->browser->request('GET', '/jobs/'.$job->getId().'/traces/needle');
        self::assertSelectorExists('form[action$="/record"]');
    }

    public function testTwoTapsBeginOneRecording(): void
    {
        $this->signIn();
        $key = RequestKey::fresh()->value;
        $this->post('/traces/speed/record', ['play' => 'surge'], $key);
        $first = $this->browser->getResponse()->headers->get('Location');
        $this->post('/traces/speed/record', ['play' => 'surge'], $key);
        self::assertSame($first, $this->browser->getResponse()->headers->get('Location'));
        self::assertCount(1, self::service(TraceRepository::class)->latest(TraceKind::Speed, null));
    }

    /** @param array<string, string> $more */
    private function import(string $address, string $text, array $more = []): Crawler
    {
        $page = $this->post($address.'/import', ['csv' => $text] + $more);

        return $this->browser->getResponse()->isRedirect() ? $this->browser->followRedirect() : $page;
    }

    private function begun(): Trace
    {
        $trace = Trace::begun(TraceKind::Needle, null, 'sound-needle', $this->member(Role::Technician), new \DateTimeImmutable('2026-11-20 09:00'));
        self::entities()->persist($trace);
        self::entities()->flush();

        return $trace;
    }

    /** @return list<TraceLine> */
    private function traces(TraceKind $kind = TraceKind::Needle): array
    {
        return self::service(TraceRepository::class)->latest($kind, null);
    }

    /** @param \Closure(): iterable<GaugeReading> $readings */
    private function recording(\Closure $readings): Recording
    {
        return new Recording(new class($readings) implements Gauge {
            /** @param \Closure(): iterable<GaugeReading> $readings */
            public function __construct(private readonly \Closure $readings)
            {
            }

            public function read(TraceKind $kind, string $play): iterable
            {
                return ($this->readings)();
            }
        }, self::service(TraceRepository::class), self::service(Leases::class));
    }

    /**
     * @param array{list<float>, list<float>} $samples
     *
     * @return \Closure(): iterable<GaugeReading>
     */
    private static function playing(array $samples): \Closure
    {
        return static fn (): iterable => array_map(static fn (float $time, float $value): GaugeReading => new GaugeReading($time, $value), ...$samples);
    }

    public function testARecordingIsCalledAsItsFileWasOrAsWhatWasPlayed(): void
    {
        $this->signIn();
        $page = $this->import('/traces/speed', "t [s],n [rpm]\n".implode("\n", array_map(static fn (int $n): string => 2 * $n.','.(3100 + $n % 3), range(0, 59))));
        self::assertStringStartsWith('typed in, Technician Tester', trim($page->filter('h1 + .quiet')->text()));
        // What hardly moves has a scale whose numbers differ.
        $scale = $page->filter('.trace-drawing text')->each(static fn (Crawler $text): string => $text->text());
        self::assertNotSame([], $scale);
        self::assertSame(array_values(array_unique($scale)), $scale);
        self::assertSame('A slow leak', self::service(Words::class)->recording('slow-leak'));
        self::assertSame('bench 3.csv', self::service(Words::class)->recording('bench 3.csv'));
    }

    /** @param array{list<float>, list<float>} $samples */
    private static function csv(array $samples): string
    {
        return SeriesFile::print(Shapes::series($samples), PressureUnit::Psi);
    }
}
