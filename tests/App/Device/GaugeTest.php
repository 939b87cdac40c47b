<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Device;

use AwakeShed\App\Device\Gauge\GaugeCommand;
use AwakeShed\App\Device\Gauge\NetworkGauge;
use AwakeShed\App\Device\Gauge\Scenario;
use AwakeShed\App\Device\Gauge\SilentGauge;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\NeedleVerdict;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Trace\SpeedVerdict;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Console\Tester\CommandTester;

/** The gauge behind a port, against the stand-in that ships: the real command in a process of its own. */
final class GaugeTest extends TestCase
{
    /** @var resource|null */
    private $process;

    private string $address = '';

    protected function tearDown(): void
    {
        if (null !== $this->process) {
            proc_terminate($this->process);
            proc_close($this->process);
        }
    }

    /** @return iterable<string, array{Scenario, NeedleVerdict|SpeedVerdict}> */
    public static function scenarios(): iterable
    {
        yield 'a sound needle' => [Scenario::SoundNeedle, NeedleVerdict::Seals];
        yield 'a slow leak' => [Scenario::SlowLeak, NeedleVerdict::Marginal];
        yield 'a leaking one' => [Scenario::Leaking, NeedleVerdict::Leaks];
        yield 'a stuck one' => [Scenario::NoPopOff, NeedleVerdict::NoPopOff];
        yield 'a steady engine' => [Scenario::Steady, SpeedVerdict::Steady];
        yield 'a hunting one' => [Scenario::Surge, SpeedVerdict::Hunts];
        yield 'a generator under load' => [Scenario::DroopUnderLoad, SpeedVerdict::Steady];
        yield 'one that runs away' => [Scenario::Overspeed, SpeedVerdict::Overspeeds];
        yield 'a cold start' => [Scenario::ColdStart, SpeedVerdict::Hunts];
    }

    #[DataProvider('scenarios')]
    public function testEachScenarioIsJudgedForWhatItIs(Scenario $scenario, NeedleVerdict|SpeedVerdict $verdict): void
    {
        $times = $values = [];
        $unit = TraceKind::Needle === $scenario->kind() ? PressureUnit::Psi : SpeedUnit::Rpm;
        for ($t = 0.0; $t <= $scenario->duration(); $t += 0.05) {
            $times[] = $t;
            $values[] = $unit->toSi($scenario->at($t));
        }
        $series = Series::fromSamples($times, $values);
        $limit = Scenario::Overspeed === $scenario ? ShaftSpeed::of(3456, SpeedUnit::Rpm) : null;
        self::assertSame($verdict, TraceKind::Needle === $scenario->kind() ? NeedleTrace::fromPressures($series)->verdict : SpeedTrace::fromSpeeds($series, $limit)->verdict);
        if (Scenario::DroopUnderLoad === $scenario) {
            self::assertEqualsWithDelta(4.0, SpeedTrace::fromSpeeds($series)->droop(), 0.3);
        }
    }

    public function testThePortPlaysWhatItIsAskedForAndEndsWithIt(): void
    {
        $this->play('sound-needle', '--rate=20', '--speed=400');
        $gauge = new NetworkGauge($this->address);
        $readings = iterator_to_array($gauge->read(TraceKind::Needle, 'slow-leak'), false);
        self::assertCount(1501, $readings);
        self::assertSame(0.0, $readings[0]->seconds);
        self::assertEqualsWithDelta(75.0, $readings[1500]->seconds, 1e-6);
        $series = Series::fromSamples(array_column($readings, 'seconds'), array_column($readings, 'value'));
        self::assertSame(NeedleVerdict::Marginal, NeedleTrace::fromPressures($series)->verdict);
        // Another listener at the same port, and what nobody knows means the usual.
        self::assertSame(NeedleVerdict::Seals, self::verdict($gauge->read(TraceKind::Needle, 'no-such-thing')));
    }

    public function testOneWhoSaysNothingGetsTheUsual(): void
    {
        $this->play('leaking', '--rate=10', '--speed=400');
        $stream = stream_socket_client('tcp://'.$this->address);
        self::assertIsResource($stream);
        $lines = [];
        while (false !== $line = fgets($stream)) {
            $lines[] = $line;
        }
        self::assertCount(751, $lines);
        self::assertJsonStringEqualsJsonString('{"t":0,"value":'.round(Scenario::Leaking->at(0), 4).',"unit":"psi","simulated":true}', $lines[0]);
    }

    public function testNoGaugeIsSaidAtOnce(): void
    {
        $this->expectException(SilentGauge::class);
        iterator_to_array((new NetworkGauge('127.0.0.1:'.self::freePort()))->read(TraceKind::Needle, ''), false);
    }

    public function testOneThatSpeaksOfOtherThingsIsNotBelieved(): void
    {
        $this->play('steady', '--speed=400');
        $this->expectException(SilentGauge::class);
        // Asked for pressure, it goes on telling revolutions.
        iterator_to_array((new NetworkGauge($this->address))->read(TraceKind::Needle, 'steady'), false);
    }

    public function testTheCommandListsAndRefusesWithTheRemedy(): void
    {
        $tester = new CommandTester(new GaugeCommand('127.0.0.1:8422'));
        self::assertSame(0, $tester->execute(['--list' => true]));
        self::assertStringContainsString('droop-under-load', $tester->getDisplay());
        foreach ([['scenario' => 'opera'], ['--address' => '0.0.0.0:8422'], ['--rate' => '0'], ['--speed' => 'fast']] as $arguments) {
            self::assertSame(2, $tester->execute($arguments));
            self::assertStringContainsString('Wanted:', $tester->getDisplay());
        }
        $taken = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($taken);
        self::assertSame(1, $tester->execute(['--address' => (string) stream_socket_get_name($taken, false)]));
        self::assertStringContainsString('Remedy:', $tester->getDisplay());
    }

    private function play(string ...$arguments): void
    {
        $this->address = '127.0.0.1:'.self::freePort();
        $console = \dirname(__DIR__, 3).'/bin/console';
        $process = proc_open([\PHP_BINARY, $console, 'shed:gauge', '--address='.$this->address, ...array_values($arguments)], [1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes);
        self::assertIsResource($process);
        $this->process = $process;
        // It says so once it listens.
        self::assertStringContainsString('A gauge plays', (string) fgets($pipes[1]));
    }

    /** @param iterable<\AwakeShed\App\Device\Gauge\GaugeReading> $readings */
    private static function verdict(iterable $readings): NeedleVerdict
    {
        $times = $values = [];
        foreach ($readings as $reading) {
            $times[] = $reading->seconds;
            $values[] = $reading->value;
        }

        return NeedleTrace::fromPressures(Series::fromSamples($times, $values))->verdict;
    }

    private static function freePort(): int
    {
        $server = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($server);
        $name = (string) stream_socket_get_name($server, false);
        fclose($server);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }
}
