<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Sound;

use AwakeShed\Core\Simulation\EngineSound;
use AwakeShed\Core\Sound\Firing;
use AwakeShed\Core\Sound\HeardSpeed;
use AwakeShed\Core\Sound\Tachometer;
use AwakeShed\Core\Sound\TachometerVerdict;
use AwakeShed\Core\Sound\UnreadableSound;
use AwakeShed\Core\Sound\WavFile;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Trace\SpeedVerdict;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class TachometerTest extends TestCase
{
    public function testTwoHundredEnginesAreToldToAHundredthOrNotToldAtAll(): void
    {
        $random = new Seeded(20261125);
        $told = 0;
        for ($case = 0; $case < 200; ++$case) {
            $firing = $random->one([Firing::FourStrokeSingle, Firing::FourStrokeSingle, Firing::TwoStrokeSingle, Firing::SparkEveryTurn]);
            $rpm = Firing::TwoStrokeSingle === $firing ? $random->float(1800, 9500) : $random->float(1000, 4200);
            $beat = $rpm / 60 / $firing->turns()[0];
            $rate = $random->one([8000, 11_025]);
            $sound = EngineSound::engine($rate, $random->float(3, 5), static fn (): float => $beat, $case, ring: $random->float(120, 320));
            match ($case % 6) {
                0 => $sound->noise($random->float(0, 10)),
                1 => $sound->wind($random->float(0, 6)),
                2 => $sound->hum($random->float(70, 300), $random->float(0, 10)),
                3 => $sound->noise(6)->wind(3),
                4 => $sound->and(EngineSound::engine($rate, 5, static fn (): float => $beat * 1.31, 1000 + $case), $random->float(3, 12)),
                default => $sound->and(EngineSound::engine($rate, 5, static fn (): float => $beat * 0.77, 1000 + $case), $random->float(3, 12))->noise(3),
            };
            $heard = Tachometer::hear(WavFile::read($sound->wav($random->one([8, 16, 24]))), $firing);
            if (TachometerVerdict::Told === $heard->verdict) {
                ++$told;
                self::assertEqualsWithDelta($rpm, $heard->readings[0]->speed->in(SpeedUnit::Rpm), 0.01 * $rpm, \sprintf('case %d, %s at %.0f rpm', $case, $firing->value, $rpm));
            }
        }
        self::assertGreaterThan(120, $told, 'and most of them are');
    }

    /** The head of a WAV file, as everything that plays one reads it (published: RIFF/WAVE, PCM and IEEE float). */
    #[TestWith([8, 1, 1, 8000])]
    #[TestWith([16, 2, 1, 32_000])]
    #[TestWith([24, 1, 1, 24_000])]
    #[TestWith([32, 1, 3, 32_000])]
    public function testAMadeUpRecordingSaysWhatItIs(int $bits, int $channels, int $kind, int $bytesASecond): void
    {
        $wav = EngineSound::engine(8000, 0.5, static fn (): float => 20.0, 1)->wav($bits, $channels);
        self::assertSame(
            ['riff' => 'RIFF', 'left' => \strlen($wav) - 8, 'wave' => 'WAVEfmt ', 'head' => 16, 'kind' => $kind, 'channels' => $channels, 'rate' => 8000, 'bytes' => $bytesASecond, 'block' => intdiv($bytesASecond, 8000), 'bits' => $bits, 'data' => 'data', 'size' => intdiv($bytesASecond, 2)],
            unpack('a4riff/Vleft/a8wave/Vhead/vkind/vchannels/Vrate/Vbytes/vblock/vbits/a4data/Vsize', $wav),
        );
        self::assertSame(44 + intdiv($bytesASecond, 2), \strlen($wav));
    }

    /** No engine of the trade turns faster than 15,000: what beats quicker is something else. */
    public function testNoEngineTurnsFasterThanOneCan(): void
    {
        $heard = static fn (float $rpm): array => array_map(static fn (HeardSpeed $one): float => $one->speed->in(SpeedUnit::Rpm), Tachometer::hear(WavFile::read(EngineSound::engine(11_025, 4, static fn (): float => $rpm / 120, 3, ring: 600)->wav(16)), Firing::FourStrokeSingle)->readings);

        self::assertEqualsWithDelta([14_600], $heard(14_600), 146);
        self::assertSame([], $heard(15_400));
    }

    /** @return iterable<string, array{float, float}> period in s, depth */
    public static function hunts(): iterable
    {
        yield 'quickest' => [0.55, 0.05];
        yield 'quick' => [0.8, 0.05];
        yield 'deep' => [1.2, 0.07];
        yield 'usual' => [1.7, 0.05];
        yield 'slow' => [3.5, 0.06];
    }

    #[DataProvider('hunts')]
    public function testAHuntIsHeard(float $period, float $depth): void
    {
        $sound = EngineSound::engine(16_000, 12, static fn (float $t): float => 25 * (1 + $depth * sin(2 * \M_PI * $t / $period)), 7)->noise(6);
        $heard = Tachometer::hear(WavFile::read($sound->wav(16)), Firing::FourStrokeSingle);
        self::assertSame(TachometerVerdict::Told, $heard->verdict);
        $trace = SpeedTrace::fromSpeeds($heard->readings[0]->speeds);
        self::assertSame(SpeedVerdict::Hunts, $trace->verdict);
        self::assertEqualsWithDelta($period, $trace->beat?->inSeconds(), 0.1 * $period);
    }

    public function testALoadStepIsHeardAsDroop(): void
    {
        $sound = EngineSound::engine(16_000, 16, static fn (float $t): float => ($t < 8 ? 3720 : 3600) / 120, 3)->noise(6);
        $heard = Tachometer::hear(WavFile::read($sound->wav(16)), Firing::FourStrokeSingle);
        self::assertEqualsWithDelta(3.33, SpeedTrace::fromSpeeds($heard->readings[0]->speeds)->droop(), 0.4);
    }

    public function testWhereTwoReadingsFitItAsks(): void
    {
        // Every other firing a little weaker: 1800 of an engine that fires unevenly, or 3600.
        $sound = EngineSound::engine(16_000, 6, static fn (): float => 30.0, 5, [1.0, 0.93])->noise(3);
        $ask = Tachometer::hear(WavFile::read($sound->wav(16)), Firing::FourStrokeTwin);
        self::assertSame(TachometerVerdict::TwoReadings, $ask->verdict);
        self::assertEqualsWithDelta(1800, $ask->readings[0]->speed->in(SpeedUnit::Rpm), 18);
        self::assertEqualsWithDelta(3600, $ask->readings[1]->speed->in(SpeedUnit::Rpm), 36);
        $hinted = Tachometer::hear(WavFile::read($sound->wav(16)), Firing::FourStrokeTwin, ShaftSpeed::of(3400, SpeedUnit::Rpm));
        self::assertSame(TachometerVerdict::Told, $hinted->verdict);
        self::assertEqualsWithDelta(3600, $hinted->readings[0]->speed->in(SpeedUnit::Rpm), 36);
        self::assertEqualsWithDelta(3600, SpeedUnit::Rpm->fromSi($hinted->readings[0]->speeds->values[10]), 72);
    }

    public function testNoiseAndSilenceAreNoEngine(): void
    {
        foreach ([1, 2, 3] as $seed) {
            $noise = EngineSound::engine(16_000, 5, static fn (): float => 30.0, $seed)->noise(-40);
            self::assertSame(TachometerVerdict::NothingHeard, Tachometer::hear(WavFile::read($noise->wav(16)), Firing::FourStrokeSingle)->verdict);
        }
        $silence = 'RIFF'.pack('V', 36 + 32_000).'WAVEfmt '.pack('VvvVVvv', 16, 1, 1, 8000, 16_000, 2, 16).'data'.pack('V', 32_000).str_repeat("\0", 32_000);
        self::assertSame(TachometerVerdict::NothingHeard, Tachometer::hear(WavFile::read($silence), Firing::FourStrokeSingle)->verdict);
    }

    public function testReadsEveryDepthAndRateTheSame(): void
    {
        foreach ([[8000, 8, 1], [22_050, 16, 2], [44_100, 24, 1], [48_000, 32, 2]] as [$rate, $bits, $channels]) {
            $sound = EngineSound::engine($rate, 3, static fn (): float => 26.0, 9)->noise(10);
            $heard = Tachometer::hear(WavFile::read($sound->wav($bits, $channels)), Firing::FourStrokeSingle);
            self::assertSame(TachometerVerdict::Told, $heard->verdict, "$rate Hz, $bits bits");
            self::assertEqualsWithDelta(3120, $heard->readings[0]->speed->in(SpeedUnit::Rpm), 20);
        }
    }

    /** What the samples of a ramp become: every form, one rate that is taken as it is and those that are brought down. */
    public function testEveryFormOfSamplesIsBroughtDownToTheSame(): void
    {
        $lines = [];
        foreach ([[1, 8, 'C'], [1, 16, 'v'], [1, 24, null], [1, 32, 'V'], [3, 32, 'g'], [0xFFFE, 16, 'v']] as [$kind, $bits, $letter]) {
            foreach ([[1, 4000], [2, 8000], [1, 11_025], [8, 22_050], [1, 44_100], [2, 96_000], [1, 192_000]] as [$channels, $rate]) {
                $frames = $rate + 5;
                $bytes = '';
                for ($n = 0; $n < $frames * $channels; ++$n) {
                    $value = (int) round(100 * sin($n / 37)) + $n % 7;
                    $bytes .= match (true) {
                        'C' === $letter => pack('C', 128 + $value),
                        'g' === $letter => pack('g', 0 === $n % 9001 ? \NAN : $value / 128),
                        null === $letter => substr(pack('V', $value << 16), 1, 3),
                        default => pack($letter, 'v' === $letter ? $value << 8 : $value << 24),
                    };
                }
                $more = 0xFFFE === $kind ? pack('vvVv', 22, 16, 0, 1).str_repeat("\0", 14) : '';
                $wav = 'RIFF'.pack('V', 0).'WAVELIST'.pack('V', 3)."odd\0".'fmt '.pack('VvvVVvv', 16 + \strlen($more), $kind, $channels, $rate, 0, 0, $bits).$more.'data'.pack('V', 0xFFFFFFF0).$bytes;
                $sound = WavFile::read($wav);
                $lines[] = "kind $kind, $bits bits, $channels times, $rate Hz: ".Kept::figure($sound->rate).' Hz, '.Kept::figure($sound->duration()).' s, '.Kept::summed($sound->samples);
            }
        }
        Kept::is(__DIR__.'/../Kept/sound-forms.txt', $lines);
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        $head = static fn (int $kind, int $bits, int $rate, int $bytes): string => 'RIFF'.pack('V', 36 + $bytes).'WAVEfmt '.pack('VvvVVvv', 16, $kind, 1, $rate, $rate * 2, 2, $bits).'data'.pack('V', $bytes).str_repeat("\0", $bytes);
        yield 'nothing' => ['', 'sound.no_wav'];
        yield 'a picture' => ["\x89PNG\r\n\x1a\n".str_repeat("\0", 100), 'sound.no_wav'];
        yield 'a head without sound' => ['RIFF'.pack('V', 4).'WAVE', 'sound.no_wav'];
        yield 'compressed' => [$head(2, 4, 8000, 40_000), 'sound.format'];
        yield 'twelve bits' => [$head(1, 12, 8000, 40_000), 'sound.format'];
        foreach (['no channel' => [0, 8000], 'nine channels' => [9, 8000], 'slower than a word' => [1, 3999], 'faster than a bat' => [1, 192_001]] as $name => [$channels, $rate]) {
            yield $name => ['RIFF'.pack('V', 0).'WAVEfmt '.pack('VvvVVvv', 16, 1, $channels, $rate, 0, 2, 8).'data'.pack('V', 400_000).str_repeat("\0", 400_000), 'sound.format'];
        }
        yield 'an extended head that ends with the file' => ['RIFF'.pack('V', 0).'WAVEfmt '.pack('VvvVVvv', 16, 0xFFFE, 1, 8000, 16_000, 2, 16).'data'.pack('V', 0), 'sound.format'];
        yield 'a hair less than a second' => [$head(1, 8, 8000, 7999), 'sound.too_short'];
        yield 'half a second' => [$head(1, 16, 8000, 8000), 'sound.too_short'];
        yield 'a chunk that ends beyond the file' => ['RIFF'.pack('V', 36).'WAVEfmt '.pack('V', 0xFFFFFFF0), 'sound.no_wav'];
    }

    #[DataProvider('unreadable')]
    public function testRefusesTheRestByName(string $bytes, string $reason): void
    {
        try {
            WavFile::read($bytes);
            self::fail('It was read.');
        } catch (UnreadableSound $refusal) {
            self::assertSame($reason, $refusal->reason());
        }
    }
}
