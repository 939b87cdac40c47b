<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Http;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Http\Outage;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\App\Trace\Trace;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Tests\App\ShedTestCase;
use Doctrine\DBAL\Driver\PDO\Exception as DriverFailure;
use Doctrine\DBAL\Exception\DriverException;
use PHPUnit\Framework\Attributes\DataProvider;

/** Requests no page of ours sends: each once ended in an error of ours, or said something false. */
final class HostileInputTest extends ShedTestCase
{
    public function testSettlingWithoutItsForm(): void
    {
        $this->signIn();
        $this->browser->request('POST', "/jobs/{$this->job()->getId()}/fuel/tank/settle");
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('How high does it stand in the jar?');
    }

    /** @return iterable<string, array{string}> */
    public static function waysBack(): iterable
    {
        foreach (['room:', 'room:moon', 'test:x', 'test:look.moon', 'stage:zz', 'now:%', 'now:', 'tank:', '::', "gates\0", 'gates:%2e', 'history:x'] as $back) {
            yield $back => [$back];
        }
    }

    #[DataProvider('waysBack')]
    public function testAFindingWithAnOddWayBackIsSavedAndLeadsSomewhere(string $back): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post("/jobs/{$job->getId()}/findings", ['test' => 'look.oil_colour', 'outcome' => 'dark', 'back' => $back, 'gate' => '%/../']);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful();
        self::assertCount(1, $this->record($job)->entries);
    }

    /** @return iterable<string, array{string}> */
    public static function impossibleSamples(): iterable
    {
        yield 'huge' => ['0,1e308'];
        yield 'infinite' => ['0,1e999'];
        yield 'at the end of time' => ['1e300,5'];
    }

    #[DataProvider('impossibleSamples')]
    public function testATraceNoGaugeCanSayIsRefusedWithItsLine(string $line): void
    {
        $this->signIn();
        $this->post('/traces/needle/import', ['csv' => "t [s],p [psi]\n0.5,1\n$line\n2,3\n"]);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('Line 3 is what no gauge can say');
    }

    public function testATraceThatHoldsOneAlreadyIsReadWithoutIt(): void
    {
        $trace = Trace::begun(TraceKind::Needle, null, 'x', $this->member(Role::Technician), new \DateTimeImmutable());
        (new \ReflectionProperty(Trace::class, 'samples'))->setValue($trace, Trace::pack([0.0, 1.0, 2.0, \INF], [5e4, 1e308, \INF, 5e4]));
        $trace->end();
        self::entities()->persist($trace);
        self::entities()->flush();
        self::assertSame([[0.0], [5e4]], [$trace->series()->times, $trace->series()->values]);
        $this->signIn();
        foreach (['', '.csv'] as $ending) {
            $this->browser->request('GET', '/traces/'.$trace->getId().$ending);
            self::assertLessThan(500, $this->browser->getResponse()->getStatusCode());
        }
    }

    public function testSeriesOfAnyFiniteNumbersAreReadOrRefused(): void
    {
        foreach ([1e9, -1e9, 1e-300, 0.0, 9.99e9] as $value) {
            self::assertSame([$value], Series::fromSamples([1.0], [$value])->values);
        }
        self::assertSame([], Series::fromSamples([\NAN], [1.0])->values);
    }

    public function testTextThatIsNotUtf8IsReadWithAMark(): void
    {
        $this->signIn();
        $this->post('/traces/speed/import', ['csv' => "t [s],n [rpm]\n0,1\n1,2\n", 'poles' => "2\xff"]);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('GET', "/?find=\xff\xfe");
        self::assertResponseIsSuccessful();
        $this->post("/jobs/{$this->job()->getId()}/parts", ["na\xffme" => 'x', 'name' => "gas\xc3ket", 'quantity' => '1']);
        self::assertResponseRedirects();
    }

    public function testAPageOfTheSpecBookWithoutItsMark(): void
    {
        $page = new SpecPage('Alderholm 160', null);
        self::entities()->persist($page);
        self::entities()->flush();
        $this->signIn();
        foreach ([[], ['based_on' => ['x']], ['based_on' => 'x', 'version' => '']] as $fields) {
            $this->browser->request('POST', '/spec/'.$page->getId(), ['spec_page' => $fields + ['name' => 'Alderholm 160', '_token' => $this->token()]]);
            self::assertLessThan(500, $this->browser->getResponse()->getStatusCode());
        }
    }

    public function testACaseNestedTooDeepIsSaidSo(): void
    {
        $this->signIn();
        foreach ([48, 70, 23, 21, 16] as $deep) {
            $json = '{"format":"awake-shed/case","version":1,"machine":{"kind":"mower"},"note":'.str_repeat('[', $deep).str_repeat(']', $deep).'}';
            $this->browser->request('POST', '/import', ['import' => ['label' => 'x', 'ownerName' => 'y', 'text' => $json, '_token' => $this->token()]]);
            self::assertSame($deep > 22 ? 422 : 303, $this->browser->getResponse()->getStatusCode(), (string) $deep);
        }
    }

    public function testALineThatDiesInTheMiddleIsAnOutageNotAFailureOfOurs(): void
    {
        $lost = new DriverException(DriverFailure::new(self::failure(2013, 'Lost connection to server during query')), null);
        self::assertSame(Outage::Database, Outage::in(new \RuntimeException('wrapped', 0, $lost)));
        self::assertSame(Outage::Disk, Outage::in(new DriverException(DriverFailure::new(self::failure(1114, 'The table is full')), null)));
        self::assertNull(Outage::in(new \RuntimeException('ours')));
    }

    private static function failure(int $number, string $message): \PDOException
    {
        $failure = new \PDOException("SQLSTATE[HY000]: General error: $number $message");
        $failure->errorInfo = ['HY000', $number, $message];

        return $failure;
    }
}
