<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Device;

use AwakeShed\App\Device\Gauge\Listener;
use AwakeShed\App\Device\Gauge\Scenario;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** How the stand-in for a gauge plays to whoever has connected, by a clock of the test's own. */
final class ListenerTest extends TestCase
{
    private const RATE = 10.0;

    /** @var resource the end of whoever has connected */
    private $far;

    private Listener $listener;

    protected function setUp(): void
    {
        $this->listener = $this->connected(1.0);
    }

    public function testWhoSaysNothingGetsTheUsualAfterAMoment(): void
    {
        self::assertTrue($this->listener->play(100.0));
        $this->listener->hear(100.1);
        self::assertTrue($this->listener->play(100.29));
        self::assertSame([], $this->heard());
        self::assertTrue($this->listener->play(100.31));
        self::assertSame([[0.0, 'psi']], $this->heard());
        self::assertTrue($this->listener->play(100.52));
        self::assertSame([[0.1, 'psi'], [0.2, 'psi']], $this->heard());
    }

    public function testAWishIsPlayedAtOnceAndNoSecondOneAfterIt(): void
    {
        fwrite($this->far, "{\"play\":\"steady\"}\n");
        $this->listener->hear(100.1);
        self::assertTrue($this->listener->play(100.2));
        self::assertSame([[0.0, 'rpm'], [0.1, 'rpm']], $this->heard());
        fwrite($this->far, "{\"play\":\"leaking\"}\n");
        $this->listener->hear(100.25);
        self::assertTrue($this->listener->play(100.31));
        self::assertSame([[0.2, 'rpm']], $this->heard());
    }

    #[TestWith(['louder, please'])]
    #[TestWith(['{"play":"a tune"}'])]
    #[TestWith(['{"play":7}'])]
    #[TestWith(['["steady"]'])]
    public function testWhatIsNotUnderstoodMeansTheUsualAtOnce(string $wish): void
    {
        fwrite($this->far, $wish."\n");
        $this->listener->hear(100.1);
        self::assertTrue($this->listener->play(100.1));
        self::assertSame([[0.0, 'psi']], $this->heard());
    }

    public function testItEndsWithTheLastReading(): void
    {
        $listener = $this->connected(1000.0);
        self::assertTrue($listener->play(100.31));
        self::assertTrue($listener->play(100.31 + (Scenario::SlowLeak->duration() - 0.05) / 1000.0));
        self::assertCount(750, $this->heard());
        self::assertFalse($listener->play(101.0));
        self::assertSame([[75.0, 'psi']], $this->heard());
        self::assertTrue(feof($this->far));
    }

    public function testWhoHasGoneIsPlayedToNoMore(): void
    {
        self::assertTrue($this->listener->play(100.31));
        fclose($this->far);
        $this->listener->hear(100.4);
        self::assertFalse($this->listener->play(100.5));
        self::assertFalse(\is_resource($this->listener->stream));
    }

    /** @return Listener of a slow leak, connected at the hundredth second */
    private function connected(float $speed): Listener
    {
        $ends = stream_socket_pair(\STREAM_PF_UNIX, \STREAM_SOCK_STREAM, 0);
        self::assertIsArray($ends);
        [$near, $this->far] = $ends;
        stream_set_blocking($near, false);
        stream_set_blocking($this->far, false);

        return new Listener($near, Scenario::SlowLeak, self::RATE, $speed, 100.0);
    }

    /** @return list<array{float, string}> the moment and the unit of each reading that has come since */
    private function heard(): array
    {
        $heard = [];
        while (\is_string($line = fgets($this->far))) {
            $reading = json_decode($line, true, 4, \JSON_THROW_ON_ERROR);
            self::assertIsArray($reading);
            self::assertSame(['t', 'value', 'unit', 'simulated'], array_keys($reading));
            self::assertTrue($reading['simulated']);
            self::assertIsNumeric($reading['t']);
            self::assertIsString($reading['unit']);
            $heard[] = [(float) $reading['t'], $reading['unit']];
        }

        return $heard;
    }
}
